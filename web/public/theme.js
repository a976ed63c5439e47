// Before the first paint: the theme that was chosen, else the system's.
const chosen = localStorage.getItem('azzel.theme')
document.documentElement.dataset.theme =
	chosen ?? (matchMedia('(prefers-color-scheme: dark)').matches ? 'kiln' : 'plaster')
