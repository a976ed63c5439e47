import { svelte } from '@sveltejs/vite-plugin-svelte'
import tailwindcss from '@tailwindcss/vite'
import { defineConfig } from 'vite'

// The page that plays is one script and one style sheet with its fonts, which are put into one file.
export default defineConfig({
	plugins: [tailwindcss(), svelte()],
	publicDir: false,
	build: {
		outDir: 'dist/page',
		emptyOutDir: true,
		assetsInlineLimit: 1_000_000,
		target: 'es2022',
		cssCodeSplit: false,
		lib: {
			entry: 'src/page/main.ts',
			formats: ['iife'],
			name: 'azzelPage',
			fileName: () => 'page.js',
			cssFileName: 'page',
		},
		chunkSizeWarningLimit: 2000,
	},
	define: { 'process.env.NODE_ENV': '"production"' },
})
