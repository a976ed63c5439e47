// Keeps the game on the device, so that it can be installed and plays without a network.
const own = self.registration.scope + ' '
const kept = own + 'VERSION'
const files = ['./', 'index.html', 'manifest.webmanifest', 'icon-192.png', 'icon-512.png']

self.addEventListener('install', (e) =>
	e.waitUntil(
		caches
			.open(kept)
			.then((c) => c.addAll(files))
			.then(() => self.skipWaiting()),
	),
)

self.addEventListener('activate', (e) =>
	e.waitUntil(
		caches
			.keys()
			.then((all) => Promise.all(all.filter((k) => k.startsWith(own) && k !== kept).map((k) => caches.delete(k))))
			.then(() => self.clients.claim()),
	),
)

self.addEventListener('fetch', (e) => {
	if (e.request.method !== 'GET') return
	e.respondWith(
		caches
			.open(kept)
			.then((c) => c.match(e.request, { ignoreSearch: true }))
			.then((hit) => hit ?? fetch(e.request)),
	)
})
