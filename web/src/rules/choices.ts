import type { Condition, Entity, ID, Rule, Step } from '../core/types'
import type { Choice } from '../frame/Menu.svelte'
import type { Workspace } from '../workspace.svelte'

/** A rule while it is being changed: what the core fills in by itself may be absent. */
type Changing = Omit<Rule, 'if' | 'then'> & {
	if: (Omit<Condition, 'id'> & { id?: ID })[]
	then: (Omit<Step, 'id'> & { id?: ID })[]
}

/** Makes the choices that pressing a word of a rule's sentence offers. */
export class RuleChoices {
	constructor(
		private w: Workspace,
		private rule: Rule,
	) {}

	private change(f: (r: Changing) => void) {
		const { id, order, when, if: conditions, then, once, note } = structuredClone(this.rule)
		const next: Changing = { id, order, when, if: conditions ?? [], then: then ?? [], once, note }
		f(next)
		this.w.project.try('changeRule', next)
	}

	/** Every entity of a kind, by map, and pointing at one instead. */
	private entities(kind: string, done: (map: ID, e: Entity) => void): Choice[] {
		const { w } = this
		const what = `a ${kind}`
		const out: Choice[] = [
			{
				label: 'Point at it on the map…',
				run: () => {
					w.station = 'map'
					w.hand.letGo()
					w.picking = { kinds: [kind], what, done }
					queueMicrotask(() => w.canvas?.focus())
				},
			},
		]
		for (const m of w.project.head.maps) {
			const found = w.project.entities(m.id).filter((e) => e.kind === kind)
			if (!found.length) continue
			out.push({ heading: m.name })
			for (const e of found) out.push({ label: e.name, run: () => done(m.id, e) })
		}
		return out
	}

	private first(kind: string): { map: ID; entity: ID } | null {
		const maps = this.w.project.head.maps
		for (const m of [...maps.filter((m) => m.id === this.rule.when.map), ...maps]) {
			const e = this.w.project.entities(m.id).find((e) => e.kind === kind)
			if (e) return { map: m.id, entity: e.id }
		}
		this.w.notices.say(`There is no ${kind} yet: place one on a map first.`, 'wrong')
		return null
	}

	private flags(done: (flag: ID) => void): Choice[] {
		return [
			...this.w.project.head.flags.map((f) => ({ label: f.name, run: () => done(f.id) })),
			{ label: 'A new flag', run: () => this.newFlag(done) },
		]
	}

	private newFlag(done: (flag: ID) => void) {
		const made = this.w.project.try('addFlag', { name: 'Flag 1' })
		if (made?.made) done(made.made)
	}

	private when(on: Rule['when']['on']) {
		if (on === 'arrive') return this.change((r) => (r.when = { on, map: this.rule.when.map, entity: '' }))
		const found = this.first(on === 'use' ? 'switch' : 'collectible')
		if (found) this.change((r) => (r.when = { on, ...found }))
	}

	addCondition() {
		const add = (flag: ID) => this.change((r) => r.if.push({ flag, is: true }))
		const first = this.w.project.head.flags[0]
		if (first) add(first.id)
		else this.newFlag(add)
	}

	/** What can be done, as choices; done gets the step. */
	steps(done: (step: Omit<Step, 'id'>) => void): Choice[] {
		const flag = (to: boolean) => {
			const first = this.w.project.head.flags[0]
			if (first) done({ do: 'set', flag: first.id, to })
			else this.newFlag((id) => done({ do: 'set', flag: id, to }))
		}
		return [
			{
				label: 'open a door',
				run: () => {
					const found = this.first('door')
					if (found) done({ do: 'open', ...found })
				},
			},
			{ label: 'set a flag', run: () => flag(true) },
			{ label: 'clear a flag', run: () => flag(false) },
			{ label: 'say a line', run: () => done({ do: 'say', text: 'Something is said.' }) },
		]
	}

	add(): Choice[] {
		return this.steps((step) => this.change((r) => r.then.push(step)))
	}

	setText(step: ID, text: string) {
		this.change((r) => (r.then.find((s) => s.id === step)!.text = text))
	}

	of(slot: string): Choice[] {
		const { rule } = this
		const [part, id, what] = slot.split('.')
		if (slot === 'when.on') {
			return [
				{ label: 'uses a switch', run: () => this.when('use') },
				{ label: 'takes a collectible', run: () => this.when('take') },
				{ label: 'arrives on a map', run: () => this.when('arrive') },
			]
		}
		if (slot === 'when.what') {
			if (rule.when.on === 'arrive') {
				return this.w.project.head.maps.map((m) => ({
					label: m.name,
					run: () => this.change((r) => (r.when.map = m.id)),
				}))
			}
			return this.entities(rule.when.on === 'use' ? 'switch' : 'collectible', (map, e) =>
				this.change((r) => (r.when = { on: r.when.on, map, entity: e.id })),
			)
		}
		if (slot === 'once') {
			return [
				{ label: 'once', run: () => this.change((r) => (r.once = true)) },
				{ label: 'each time', run: () => this.change((r) => (r.once = false)) },
			]
		}
		if (slot === 'then') return this.add()
		if (part === 'if') {
			const set = (f: (c: Changing['if'][0]) => void) => this.change((r) => f(r.if.find((c) => c.id === id)!))
			const remove: Choice = {
				label: 'remove this condition',
				run: () => this.change((r) => (r.if = r.if.filter((c) => c.id !== id))),
			}
			if (what === 'flag') return [...this.flags((flag) => set((c) => (c.flag = flag))), remove]
			return [
				{ label: 'is set', run: () => set((c) => (c.is = true)) },
				{ label: 'is not set', run: () => set((c) => (c.is = false)) },
				remove,
			]
		}
		const step = rule.then?.find((s) => s.id === id)
		const set = (next: Omit<Step, 'id'>) =>
			this.change((r) => (r.then = r.then.map((s) => (s.id === id ? { ...next, id } : s))))
		if (what === 'do') {
			return [
				...this.steps(set),
				{ label: 'remove this', run: () => this.change((r) => (r.then = r.then.filter((s) => s.id !== id))) },
			]
		}
		if (step?.do === 'open') return this.entities('door', (map, e) => set({ do: 'open', map, entity: e.id }))
		return this.flags((flag) => set({ do: 'set', flag, to: step?.to }))
	}
}
