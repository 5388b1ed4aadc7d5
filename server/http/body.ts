/**
 * A request's JSON, read as it comes and no further than its limit. A body is held in memory and parsed on the main
 * thread, so how much of it there may be, and how deep it may nest, is settled before it is parsed.
 */
import { getRequestHeader, type H3Event } from 'h3'
import type { z } from 'zod'
import { AppError } from '../../shared/errors'
import { check } from './check'

/** The largest correction the bench can make, sent with what it was written over, takes under 200 KB. */
export const BODY_LIMIT = 256 * 1024
/** Deeper than anything of ours by far; a parser that calls itself for each level is not sent deeper. */
export const DEEPEST = 32

const tooLarge = (limit: number): AppError =>
  new AppError('too-large', `This is too much at once: at most ${Math.round(limit / 1024)} KB are read here.`)

/** @returns the whole body. @throws AppError too-large as soon as that is known. */
function readBytes({ node: { req } }: H3Event, limit: number): Promise<Buffer> {
  if (Number(req.headers['content-length'] ?? 0) > limit) throw tooLarge(limit)
  return new Promise((resolve, reject) => {
    const parts: Buffer[] = []
    let length = 0
    const end = (settle: () => void): void => {
      req.off('data', take).off('end', done).off('error', broken).off('close', broken)
      settle()
    }
    const broken = (): void => end(() => reject(new AppError('invalid', 'The request broke off before its end.')))
    const done = (): void => end(() => resolve(Buffer.concat(parts)))
    const take = (part: Buffer): void => {
      length += part.length
      // What still comes flows past unread, so that the answer reaches a sender who is still sending.
      if (length > limit)
        end(() => {
          req.resume()
          reject(tooLarge(limit))
        })
      else parts.push(part)
    }
    req.on('data', take).on('end', done).on('error', broken).on('close', broken)
  })
}

const QUOTE = 34,
  BACKSLASH = 92,
  OPENS = new Set([91, 123]),
  CLOSES = new Set([93, 125])

/** How deep the brackets of a JSON text nest, those inside its strings not counted. */
export function nestingOf(json: Uint8Array): number {
  let depth = 0,
    deepest = 0,
    quoted = false
  for (let i = 0; i < json.length; i++) {
    const byte = json[i]!
    if (quoted) {
      if (byte === BACKSLASH) i++
      else if (byte === QUOTE) quoted = false
    } else if (byte === QUOTE) quoted = true
    else if (OPENS.has(byte)) deepest = Math.max(deepest, ++depth)
    else if (CLOSES.has(byte)) depth--
  }
  return deepest
}

/** @param limit in bytes. @returns undefined for an empty body. @throws AppError too-large, wrong-type, invalid. */
export async function readJson(event: H3Event, limit = BODY_LIMIT): Promise<unknown> {
  const type = getRequestHeader(event, 'content-type')?.split(';')[0]!.trim().toLowerCase() ?? ''
  const bytes = await readBytes(event, limit)
  if (bytes.length === 0) return undefined
  if (!/^application\/(.+\+)?json$/.test(type)) throw new AppError('wrong-type', 'Only JSON is read here.')
  if (nestingOf(bytes) > DEEPEST) throw new AppError('invalid', `This is nested deeper than ${DEEPEST} levels.`)
  try {
    return JSON.parse(bytes.toString('utf8'))
  } catch {
    throw new AppError('invalid', 'This is not JSON that can be read.')
  }
}

/** @throws AppError invalid with the first thing that is wrong. */
export const body = async <S extends z.ZodType>(event: H3Event, schema: S): Promise<z.infer<S>> =>
  check(schema, await readJson(event))
