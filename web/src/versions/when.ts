/** A day and a time, as short as they can be told from today. */
export function whenOf(at: string): string {
	const then = new Date(at)
	const today = then.toDateString() === new Date().toDateString()
	const time = then.toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })
	return today ? time : `${then.toLocaleDateString('en-GB', { day: 'numeric', month: 'short' })}, ${time}`
}
