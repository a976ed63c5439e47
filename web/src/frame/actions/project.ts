import { savePage, saveZip } from '../../share/exchange'
import { savedState } from '../../project/saved'
import type { Group } from './action'

const told = {
	saved: 'Saved: everything is stored as you make it.',
	saving: 'It is being stored now, as everything is as you make it.',
	kept: 'Kept in this browser: it is stored as soon as the server is back.',
	away: 'The server is away: what you make is kept in this browser, and stored when it is back.',
	full: 'The server has no room: what you make is kept in this browser.',
	parted: 'This page can store nothing more: see the bar above.',
	broken: 'This project can only be looked at: see the bar above.',
}

export const projectActions: Group = (w) => [
	{ name: 'Save', group: 'Project', keys: ['Ctrl+S'], run: () => w.notices.say(told[savedState(w.project)]) },
	{ name: 'Save the project as a ZIP', group: 'Project', run: () => void saveZip(w.project, w.notices) },
	{
		name: 'Save the page that plays',
		group: 'Project',
		run: () => void savePage(w.project, w.notices),
	},
	{ name: 'Undo', group: 'Project', keys: ['Ctrl+Z'], run: () => void w.project.undo() },
	{ name: 'Redo', group: 'Project', keys: ['Ctrl+Shift+Z', 'Ctrl+Y'], run: () => void w.project.undo('redo') },
]
