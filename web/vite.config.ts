import { svelte } from '@sveltejs/vite-plugin-svelte'
import tailwindcss from '@tailwindcss/vite'
import { defineConfig } from 'vite'

// Nothing is inlined, so that the page needs no exception in its content policy.
export default defineConfig({
	plugins: [tailwindcss(), svelte()],
	worker: { format: 'es' },
	build: { assetsInlineLimit: 0, modulePreload: false, target: 'es2022', chunkSizeWarningLimit: 900 },
})
