/** The commands run as a person runs them, for tests. */
import { spawnSync } from 'node:child_process'

/** Runs a command as a person types it. @returns its status, its lines of JSON, and what it said aside. */
export function run(
  command: 'measure' | 'colour' | 'mix' | 'compare' | 'worksheet' | 'sheet',
  ...args: string[]
): { status: number | null; lines: Record<string, unknown>[]; stderr: string } {
  const { status, stdout, stderr } = spawnSync('npx', ['tsx', `cli/${command}.ts`, ...args], {
    encoding: 'utf8',
    env: { ...process.env, npm_config_loglevel: 'silent' }
  })
  return {
    status,
    lines: stdout
      .split('\n')
      .filter(Boolean)
      .map(line => JSON.parse(line) as Record<string, unknown>),
    stderr
  }
}
