import type { ID } from '../core/types'

// What is typed of a rule and is not stored yet, for some tenths of a second: kept by the tab, so that a reload loses nothing.
const key = (rule: ID) => `azzel.rule.${rule}`

export const unstored = {
	of: (rule: ID) => sessionStorage.getItem(key(rule)),
	keep: (rule: ID, text: string) => sessionStorage.setItem(key(rule), text),
	forget: (rule: ID) => sessionStorage.removeItem(key(rule)),
}
