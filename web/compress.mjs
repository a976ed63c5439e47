// node compress.mjs FROM TO: the module as small as it can be sent (Brotli, RFC 7932, quality 11): a minute, and only where it has changed.
import { readFileSync, renameSync, writeFileSync } from 'node:fs'
import { brotliCompressSync, constants } from 'node:zlib'

const [from, to] = process.argv.slice(2)
const data = readFileSync(from)
const small = brotliCompressSync(data, {
	params: {
		[constants.BROTLI_PARAM_QUALITY]: 11,
		[constants.BROTLI_PARAM_LGWIN]: 24,
		[constants.BROTLI_PARAM_SIZE_HINT]: data.length,
	},
})
writeFileSync(`${to}.part`, small)
renameSync(`${to}.part`, to)
