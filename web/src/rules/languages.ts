/** A language as people call it who speak another one. */
export function languageName(tag: string, by = 'en'): string {
	try {
		return new Intl.DisplayNames([by], { type: 'language' }).of(tag) ?? tag
	} catch {
		return tag
	}
}

/** From which side a language is read. */
export function directionOf(tag: string): 'ltr' | 'rtl' {
	try {
		const locale = new Intl.Locale(tag) as Intl.Locale & {
			getTextInfo?: () => { direction?: string }
			textInfo?: { direction?: string }
		}
		return (locale.getTextInfo?.() ?? locale.textInfo)?.direction === 'rtl' ? 'rtl' : 'ltr'
	} catch {
		return 'ltr'
	}
}
