/** A language as people call it who speak another one. */
export function languageName(tag: string, by = 'en'): string {
	try {
		return new Intl.DisplayNames([by], { type: 'language' }).of(tag) ?? tag
	} catch {
		return tag
	}
}
