/** A language as people call it. */
export function languageName(tag: string): string {
	try {
		return new Intl.DisplayNames(['en'], { type: 'language' }).of(tag) ?? tag
	} catch {
		return tag
	}
}
