/** Reading the commands' options. A malformed one is a single line on stderr and exit status 2. */
import { parseArgs, type ParseArgsConfig } from 'node:util'

/** What the person typed is wrong; the message says what. */
export class UsageError extends Error {}

/**
 * @param what has to be named; null where options say everything. @throws UsageError for an unknown or valueless
 * option,
 * or when nothing is named.
 */
export function readArguments<T extends NonNullable<ParseArgsConfig['options']>>(
  argv: string[],
  options: T,
  what: string | null
) {
  let parsed
  try {
    parsed = parseArgs({ args: argv, options, allowPositionals: true, strict: true })
  } catch (error) {
    throw new UsageError((error as Error).message.split('\n')[0])
  }
  if (what && parsed.positionals.length === 0) throw new UsageError(`name at least one ${what}`)
  return parsed
}

/** One of a list of words, or the first of them. @throws UsageError naming the list. */
export function oneOf<W extends string>(name: string, value: string | undefined, words: readonly W[]): W {
  if (value === undefined) return words[0]
  if (!(words as readonly string[]).includes(value))
    throw new UsageError(`--${name} is ${words.slice(0, -1).join(', ')} or ${words[words.length - 1]}, not "${value}"`)
  return value as W
}

/** Runs a command and turns its result or its usage error into the exit status. */
export async function command(run: () => Promise<number>): Promise<void> {
  try {
    process.exitCode = await run()
  } catch (error) {
    if (!(error instanceof UsageError)) throw error
    process.stderr.write(`${error.message}\n`)
    process.exitCode = 2
  }
}
