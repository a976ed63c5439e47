import { keys, named } from '../controls/keys.svelte'
import type { Workspace } from '../workspace/workspace.svelte'
import { type Action, whenOf } from './actions/action'
import { entitiesActions } from './actions/entities'
import { handActions } from './actions/hand'
import { mapActions } from './actions/map'
import { playActions } from './actions/play'
import { projectActions } from './actions/project'
import { selectionActions } from './actions/selection'
import { stationsActions } from './actions/stations'
import { viewActions } from './actions/view'

export type { Action }

const groups = [
	projectActions,
	handActions,
	mapActions,
	viewActions,
	selectionActions,
	entitiesActions,
	playActions,
	stationsActions,
]

/** Every action of the page. The key handler, the finder and the key sheet all read this list. */
export function actions(w: Workspace): Action[] {
	const when = whenOf(w)
	return groups.flatMap((group) => group(w, when))
}

/** Whether text is typed there. */
export const typing = (t: EventTarget | null) =>
	t instanceof Element && t.matches('input:not([type=checkbox], [type=range]), textarea, select, [contenteditable]')

/** What is open and has keys of its own. */
const listening = '[role=menu], [role=listbox], [role=dialog]'

/** Keys by which one goes through what is on a page. */
const moving = /(Page(Up|Down)|Home)$/

/** Whether what goes on at a place of the page can be meant for the map. */
export const forMap = (w: Workspace, at: EventTarget | null) =>
	!(at instanceof Element) ||
	at.matches('[data-testid=map]') ||
	(w.keysAnywhere && !typing(at) && !at.closest(listening))

/** Whether an action that belongs to the map takes a key that goes down elsewhere. */
const reaches = (w: Workspace, a: Action, key: string, at: EventTarget | null) =>
	forMap(w, at) &&
	(!w.play.on || a.group === 'Play') &&
	!moving.test(key) &&
	// text of the page is copied as such
	!(key === 'Ctrl+C' && !getSelection()?.isCollapsed)

/** Runs the action of a key; true when there was one. */
export function runKey(w: Workspace, e: KeyboardEvent): boolean {
	if (e.defaultPrevented || e.altKey || w.joining || w.finderOpen || w.keysOpen) return false
	const key = keys.meant(named(e))
	if (w.canvas?.busy()) return duringPress(w, e, key)
	const inCanvas = e.target instanceof Element && e.target.matches('[data-testid=map]')
	if (typing(e.target) && !['Ctrl+K', 'Ctrl+S', 'F6', 'Shift+F6'].includes(key)) return false
	if (key === 'Esc') {
		w.escape()
		return true
	}
	const found = actions(w).find(
		(a) => a.keys?.includes(key) && (!a.canvas || inCanvas || reaches(w, a, key, e.target)) && (a.when?.() ?? true),
	)
	// what stands on a page is not selected as if it were one text
	if (found || key === 'Ctrl+A') e.preventDefault()
	found?.run()
	return !!found
}

/** In the middle of a press the view can be moved; undo takes the press back; all else waits for its end. */
function duringPress(w: Workspace, e: KeyboardEvent, key: string): boolean {
	const found = actions(w).find((a) => a.keys?.includes(key) && (a.when?.() ?? true))
	if (key === 'Esc' || key === 'Ctrl+Z') w.canvas!.cancel()
	else if (!found) return false
	else if (found.group === 'View') found.run()
	else w.notices.say('Let go first, or press Escape to take this press back.')
	e.preventDefault()
	return true
}

/** Space takes hold of the map under the pointer, and lets it go. */
export function grabKey(w: Workspace, e: KeyboardEvent) {
	if (e.code !== 'Space') return
	if (e.type === 'keyup') return void w.canvas?.grab(false)
	if (e.ctrlKey || w.play.on || !forMap(w, e.target) || !w.canvas?.grab(true)) return
	e.preventDefault()
	e.stopPropagation()
}
