import type { Group } from './action'

export const projectActions: Group = (w) => [
	{ name: 'Undo', group: 'Project', keys: ['Ctrl+Z'], run: () => void w.project.undo() },
	{ name: 'Redo', group: 'Project', keys: ['Ctrl+Shift+Z', 'Ctrl+Y'], run: () => void w.project.undo('redo') },
]
