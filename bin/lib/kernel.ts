/** `npm run kernel`: the face detector's kernel, from its text into the bytes that the core carries. */
import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import wabt from 'wabt'
import { ROOT } from './step'

const FOLDER = join(ROOT, 'core/measure/focus/faces')

/** @returns base 64 of the binary. @throws Error that names the line of a mistake. */
export async function assembledKernel(): Promise<string> {
  const { parseWat } = await wabt(),
    module = parseWat('kernel.wat', readFileSync(join(FOLDER, 'kernel.wat'), 'utf8'), { simd: true })
  return Buffer.from(module.toBinary({}).buffer).toString('base64')
}

if (process.argv[1] === import.meta.filename)
  writeFileSync(join(FOLDER, 'kernel.json'), `{\n  "bytes": "${await assembledKernel()}"\n}\n`)
