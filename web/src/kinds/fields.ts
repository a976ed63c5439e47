/** The whole number in a field; nothing is nought. */
export const whole = (e: { currentTarget: HTMLInputElement }) => Math.trunc(e.currentTarget.valueAsNumber) || 0

/** The words between commas, each once. */
export const words = (text: string) => [
	...new Set(
		text
			.split(',')
			.map((s) => s.trim())
			.filter(Boolean),
	),
]
