/** Telling apart what the database says from its not being there, and a change that only met another one. */

/** It did not answer in time, or there was no connection to be had. */
export class DatabaseAway extends Error {}
/** As that, of a place outside the database in which bytes are kept. */
export class PlaceAway extends DatabaseAway {}

/** A change met another one: made again, it may well go through. */
export class MetAnother extends Error {}

/** Lost connections, refused ones, and a server that is starting, stopping or full. */
const AWAY = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  'ETIMEDOUT',
  'ENOENT',
  'EHOSTUNREACH',
  'PROTOCOL_CONNECTION_LOST',
  'ER_SERVER_SHUTDOWN',
  'ER_CON_COUNT_ERROR',
  'ER_STATEMENT_TIMEOUT',
  'ER_CONNECTION_KILLED',
  'ER_TOO_MANY_USER_CONNECTIONS',
  // A server of a cluster that is not, or not yet, part of it.
  'ER_UNKNOWN_COM_ERROR'
])
/** Deadlock (1213) and lock wait (1205): the same change, made again, may well go through. */
const CROSSED = new Set(['ER_LOCK_DEADLOCK', 'ER_LOCK_WAIT_TIMEOUT'])

const codeOf = (error: unknown): string => String((error as { code?: unknown } | null)?.code ?? '')

/** Something of the same key is there already. */
export const cameTwice = (error: unknown): boolean => codeOf(error) === 'ER_DUP_ENTRY'

/** What it points at is not there, or not any more. */
export const pointsNowhere = (error: unknown): boolean => codeOf(error) === 'ER_NO_REFERENCED_ROW_2'

export const metAnother = (error: unknown): boolean => error instanceof MetAnother || CROSSED.has(codeOf(error))

export const databaseAway = (error: unknown): boolean =>
  error instanceof DatabaseAway
  || AWAY.has(codeOf(error))
  || metAnother(error)
  // The driver's own words for a connection that closed while a statement waited in its queue.
  || (error instanceof Error && /closed state|Pool is closed|Queue limit reached/.test(error.message))
