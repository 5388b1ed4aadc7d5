/**
 * What the server tells its keeper: a line of JSON each, on its standard error, with the request that it belongs to. No
 * word of a person's is in it: of a database's error only its code, since its sentence quotes what was written; of a
 * path only what it is about.
 */
import { AsyncLocalStorage } from 'node:async_hooks'
import { randomUUID } from 'node:crypto'
import pino, { type Logger } from 'pino'
import { settings } from './settings'

const asked = new AsyncLocalStorage<string>()

/** Eight letters: enough to find a line by what a person read aloud. */
export const newRequestId = (): string => randomUUID().slice(0, 8)
/** Runs `work` as part of a request. */
export const asRequest = <T>(requestId: string, work: () => T): T => asked.run(requestId, work)
const requestId = (): string | undefined => asked.getStore()

/** A database's error names its code, its state and nothing of its sentence. */
interface DatabaseError extends Error {
  readonly code: string
  readonly errno: number
  readonly sqlState: string
}
const ofDatabase = (error: Error): error is DatabaseError => 'sqlState' in error && 'errno' in error

function told(error: unknown): object {
  if (!(error instanceof Error)) return { type: typeof error }
  const { name, message, stack = '' } = error,
    // The sentence is the stack's first line as well.
    at = stack.split('\n').filter(line => /^\s+at /.test(line))
  return {
    type: name,
    at,
    ...(ofDatabase(error) ? { code: error.code, errno: error.errno, state: error.sqlState } : { message }),
    ...(error.cause ? { cause: told(error.cause) } : {})
  }
}

let logger: Logger | null = null

const log = (): Logger =>
  (logger ??= pino(
    {
      level: settings().CRITICA_LOG,
      base: undefined,
      timestamp: pino.stdTimeFunctions.isoTime,
      formatters: { level: label => ({ level: label }) },
      mixin: () => ({ request: requestId() }),
      serializers: { error: told }
    },
    pino.destination({ fd: 2, sync: true })
  ))

/** @param what failed, without a name or a number of anybody's in it. */
export const logError = (what: string, error: unknown, of: object = {}): void => log().error({ ...of, error }, what)
export const logInfo = (what: string, of: object = {}): void => log().info(of, what)
