/** The production build, made again only when a source changed. */
import { spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { ROOT, step, Stop } from './step'

const SOURCES = [
  'app',
  'core',
  'demo',
  'public',
  'server',
  'shared',
  'nuxt.config.ts',
  'vuetify.config.ts',
  'package-lock.json'
]
const STAMP = join(ROOT, '.output', 'critica-sources')

function* filesBelow(path: string): Generator<string> {
  if (!existsSync(path)) return
  if (statSync(path).isFile()) yield path
  else for (const name of readdirSync(path).sort()) yield* filesBelow(join(path, name))
}

function sourcesHash(): string {
  const hash = createHash('sha256')
  for (const source of SOURCES) {
    for (const file of filesBelow(join(ROOT, source))) {
      if (!file.endsWith('.test.ts')) hash.update(file.slice(ROOT.length)).update(readFileSync(file))
    }
  }
  return hash.digest('hex')
}

/** @throws Stop with the build's own last words. */
export function buildIfChanged(): void {
  const hash = sourcesHash()
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === hash) return
  step('building the application (about a minute)')
  const { status, stdout, stderr } = spawnSync('npx', ['nuxt', 'build'], {
    cwd: ROOT,
    encoding: 'utf8',
    env: { ...process.env, NODE_ENV: 'production', NUXT_TELEMETRY_DISABLED: '1' }
  })
  if (status !== 0) throw new Stop(`the build failed:\n${(stdout + stderr).slice(-4000)}`)
  writeFileSync(STAMP, hash)
}

// Run by itself where an image is made.
if (process.argv[1] === import.meta.filename) buildIfChanged()
