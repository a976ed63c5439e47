import '../app.css'
import { mount } from 'svelte'
import Page from './Page.svelte'

// The page that plays: one file, no server.
mount(Page, { target: document.getElementById('app')! })
