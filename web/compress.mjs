// node compress.mjs FROM TO: the module as small as it can be sent in the time that a build has (Brotli, RFC 7932, quality 10 of 11).
import { readFileSync, renameSync, writeFileSync } from 'node:fs'
import { brotliCompressSync, constants } from 'node:zlib'

const [from, to] = process.argv.slice(2)
const data = readFileSync(from)
const small = brotliCompressSync(data, {
	params: {
		[constants.BROTLI_PARAM_QUALITY]: 10,
		[constants.BROTLI_PARAM_LGWIN]: 24,
		[constants.BROTLI_PARAM_SIZE_HINT]: data.length,
	},
})
writeFileSync(`${to}.part`, small)
renameSync(`${to}.part`, to)
