import { autocompletion, closeBrackets, completionKeymap, type CompletionContext } from '@codemirror/autocomplete'
import { defaultKeymap, history, historyKeymap, indentWithTab } from '@codemirror/commands'
import { indentService, indentUnit } from '@codemirror/language'
import { setDiagnostics, type Diagnostic } from '@codemirror/lint'
import { EditorState, RangeSetBuilder, StateEffect, StateField, type Text } from '@codemirror/state'
import { Decoration, EditorView, keymap, type DecorationSet } from '@codemirror/view'
import type { Project } from '../project/project.svelte'

/** What is marked in a text, and what is wrong in it, as the core reads it. */
type Read = ReturnType<typeof readBy>
const readBy = (project: Project, text: string) => project.ask('readText', { text })

const marked = StateEffect.define<DecorationSet>()

/** The colours of a text: they come from the core after each change, and move with the text until then. */
const marks = StateField.define<DecorationSet>({
	create: () => Decoration.none,
	update(held, tr) {
		for (const e of tr.effects) if (e.is(marked)) return e.value
		return held.map(tr.changes)
	},
	provide: (field) => EditorView.decorations.from(field),
})

const place = (doc: Text, line: number, at: number) => {
	const l = doc.line(Math.max(1, Math.min(line, doc.lines)))
	return Math.min(l.to, l.from + utf16(l.text, at - 1))
}

/** The core counts characters, the editor what they are stored as. */
const utf16 = (text: string, characters: number) => [...text].slice(0, characters).join('').length

function decorations(doc: Text, read: Read): DecorationSet {
	const out = new RangeSetBuilder<Decoration>()
	for (const m of read.marks) {
		if (m.line > doc.lines) break
		const [from, to] = [place(doc, m.line, m.from), place(doc, m.line, m.to)]
		if (to > from) out.add(from, to, Decoration.mark({ class: `said-${m.is}` }))
	}
	return out.finish()
}

function diagnostics(doc: Text, read: Read): Diagnostic[] {
	return read.faults.map((f) => {
		const from = place(doc, f.line, f.from)
		return { from, to: Math.max(from, place(doc, f.line, f.to)), severity: 'error', message: f.text }
	})
}

const look = EditorView.theme({
	'&': { fontSize: '13px', color: 'var(--ink)', backgroundColor: 'var(--chalk)' },
	'&.cm-focused': { outline: '2px solid var(--glaze)' },
	'.cm-content': { fontFamily: 'var(--font-mono)', padding: '6px 0', caretColor: 'var(--ink)' },
	'.cm-scroller': { fontFamily: 'var(--font-mono)', lineHeight: '1.55' },
	'.cm-cursor': { borderLeftColor: 'var(--ink)' },
	'&.cm-focused .cm-selectionBackground, .cm-selectionBackground': { backgroundColor: 'var(--well) !important' },
	'.cm-gutters': { backgroundColor: 'var(--chalk)', border: 'none' },
	'.cm-tooltip': {
		backgroundColor: 'var(--chalk)',
		border: '1px solid var(--dim)',
		color: 'var(--ink)',
		fontFamily: 'var(--font-sans)',
	},
	'.cm-tooltip-autocomplete ul li[aria-selected]': { backgroundColor: 'var(--glaze)', color: 'var(--on-glaze)' },
	'.cm-completionDetail': { opacity: '0.75', fontStyle: 'normal' },
	'.cm-lintRange-error': {
		backgroundImage: 'none',
		textDecoration: 'underline wavy var(--brick)',
		textUnderlineOffset: '3px',
	},
	'.cm-lintPoint': { position: 'relative' },
	'.cm-diagnostic-error': { borderLeft: '3px solid var(--brick)' },
	'.said-heading': { color: 'var(--glaze)', fontWeight: '700' },
	'.said-word': { color: 'var(--ink)' },
	'.said-name': { color: 'var(--cobalt)', fontWeight: '600' },
	'.said-text': { color: 'var(--brick)' },
	'.said-number': { color: 'var(--saffron)' },
	'.said-note': { color: 'var(--dim)', fontStyle: 'italic' },
})

/** Escape leaves the text, since Tab indents there. */
const leave = {
	key: 'Escape',
	run: (view: EditorView) => {
		view.contentDOM.blur()
		return true
	},
}

/** The editor of a rule's text, in a root of its own so that its styles are sheets and no attributes. */
export function ruleEditor(
	parent: HTMLElement,
	text: string,
	project: Project,
	told: { changed: (text: string, read: Read) => void; left: () => void },
): EditorView {
	const root = parent.shadowRoot ?? parent.attachShadow({ mode: 'open' })
	const complete = (context: CompletionContext) => {
		const line = context.state.doc.lineAt(context.pos)
		const before = line.text.slice(0, context.pos - line.from)
		if (!context.explicit && !/\S/.test(before)) return null
		const all = project.ask('completions', {
			text: context.state.doc.toString(),
			line: line.number,
			at: [...before].length + 1,
		})
		if (!all.length) return null
		return {
			from: line.from + utf16(line.text, all[0].from),
			options: all.map((c, i) => ({
				label: c.insert,
				displayLabel: c.label,
				detail: c.detail,
				boost: -i / all.length,
			})),
			filter: false,
		}
	}
	const reads = EditorView.updateListener.of((u) => {
		if (!u.docChanged) return
		const now = u.state.doc.toString()
		const read = readBy(project, now)
		queueMicrotask(() => {
			if (u.view.state.doc !== u.state.doc) return
			u.view.dispatch({ effects: marked.of(decorations(u.state.doc, read)) })
			u.view.dispatch(setDiagnostics(u.view.state, diagnostics(u.state.doc, read)))
			told.changed(now, read)
		})
	})
	const view = new EditorView({
		parent: root as unknown as HTMLElement,
		root,
		state: EditorState.create({
			doc: text,
			extensions: [
				history(),
				closeBrackets(),
				marks,
				indentUnit.of('\t'),
				EditorState.tabSize.of(4),
				indentService.of((context, at) => 4 * project.ask('textIndent', { text: context.state.sliceDoc(0, at) })),
				autocompletion({ override: [complete], icons: false }),
				keymap.of([...completionKeymap, ...defaultKeymap, ...historyKeymap, indentWithTab, leave]),
				EditorView.lineWrapping,
				EditorView.contentAttributes.of({ 'aria-label': 'Text of the rule', spellcheck: 'false' }),
				EditorView.domEventHandlers({
					blur: () => told.left(),
					// all keys are the text's; F6 goes on round the page
					keydown: (e) => {
						if (e.key !== 'F6') e.stopPropagation()
					},
				}),
				look,
				reads,
			],
		}),
	})
	const read = readBy(project, text)
	view.dispatch({ effects: marked.of(decorations(view.state.doc, read)) })
	view.dispatch(setDiagnostics(view.state, diagnostics(view.state.doc, read)))
	return view
}

/** Shows another text, changing only what differs, so that the cursor stays where it is. */
export function putText(view: EditorView, text: string) {
	const was = view.state.doc.toString()
	if (was === text) return
	let from = 0
	while (from < was.length && was[from] === text[from]) from++
	let [to, end] = [was.length, text.length]
	while (to > from && end > from && was[to - 1] === text[end - 1]) [to, end] = [to - 1, end - 1]
	view.dispatch({ changes: { from, to, insert: text.slice(from, end) } })
}
