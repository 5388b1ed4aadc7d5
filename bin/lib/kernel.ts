/** `npm run kernel`: the core's kernels, each from its text into the bytes that the core carries. */
import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import wabt from 'wabt'
import { ROOT } from './step'

/** Without their endings: the text lies beside the bytes. */
const KERNELS = [
  'core/measure/focus/faces/kernel',
  'core/picture/reduce',
  'core/picture/colour',
  'core/picture/closing',
  'core/picture/tally',
  'core/measure/composition/edges'
] as const

/** @returns base 64 of the binary. @throws Error that names the line of a mistake. */
export async function assembledKernel(name: (typeof KERNELS)[number]): Promise<string> {
  const { parseWat } = await wabt(),
    module = parseWat(`${name}.wat`, readFileSync(join(ROOT, `${name}.wat`), 'utf8'), { simd: true })
  return Buffer.from(module.toBinary({}).buffer).toString('base64')
}

if (process.argv[1] === import.meta.filename)
  for (const name of KERNELS)
    writeFileSync(join(ROOT, `${name}.json`), `{\n  "bytes": "${await assembledKernel(name)}"\n}\n`)
