import '../app.css'
import { mount } from 'svelte'
import Page from './Page.svelte'

// The page that plays: one file, no server.
// put on a server beside its worker, it plays without a network from then on
if (document.querySelector('link[rel=manifest]') && 'serviceWorker' in navigator)
	void navigator.serviceWorker.register('worker.js').catch(() => {})

mount(Page, { target: document.getElementById('app')! })
