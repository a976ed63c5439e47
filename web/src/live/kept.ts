import type { ID } from '../core/types'
import { openDB, type DBSchema, type IDBPDatabase } from 'idb'

/** An edit that the server has not confirmed, as it will be sent. */
export interface KeptEdit {
	project: ID
	client: ID
	number: number
	edit: string
	/** The project's birth, by which a former one of the same id is told apart; '' when its past is another. */
	born?: string
}

interface Schema extends DBSchema {
	edits: { key: [ID, ID, number]; value: KeptEdit }
}

/** The edits of this browser that are not confirmed yet, so that a closed page loses none. */
export class Kept {
	private constructor(private db: IDBPDatabase<Schema>) {}

	static async open(): Promise<Kept> {
		return new Kept(
			await openDB<Schema>('azzel', 1, {
				upgrade: (db) => void db.createObjectStore('edits', { keyPath: ['project', 'client', 'number'] }),
			}),
		)
	}

	async keep(edit: KeptEdit) {
		await this.db.put('edits', edit)
	}

	async forget(project: ID, client: ID, number: number) {
		await this.db.delete('edits', [project, client, number])
	}

	/** Notes that the edits of a page are of another past than the project's. */
	async part(project: ID, client: ID) {
		const left = await this.db.getAll('edits', IDBKeyRange.bound([project, client], [project, client, []]))
		for (const e of left) await this.db.put('edits', { ...e, born: '' })
	}

	/**
	 * The edits of pages that are closed, oldest first. Every page holds a lock
	 * by its client's name; whoever gets the lock of another owns what it left.
	 */
	async adopt(project: ID): Promise<KeptEdit[]> {
		const all = await this.db.getAll('edits', IDBKeyRange.bound([project], [project, []]))
		const out: KeptEdit[] = []
		for (const client of new Set(all.map((e) => e.client))) {
			if (await hold(client)) {
				// what the page still wrote or forgot before its lock was free
				out.push(...(await this.db.getAll('edits', IDBKeyRange.bound([project, client], [project, client, []]))))
			}
		}
		return out
	}
}

/** Holds the lock of a client until this page is closed; false when another page has it. */
export function hold(client: ID): Promise<boolean> {
	return new Promise((resolve, reject) => {
		navigator.locks
			.request(`azzel:client:${client}`, { ifAvailable: true }, (lock) => {
				resolve(lock !== null)
				return lock ? new Promise<void>(() => {}) : undefined
			})
			.catch(reject)
	})
}
