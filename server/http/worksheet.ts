/** Worksheets as they are asked for and sent. */
import { getQuery, setResponseHeader, type H3Event } from 'h3'
import type { z } from 'zod'
import { worksheetQuerySchema } from '../../shared/exercises/worksheet'
import type { File } from '../services/exercises/worksheets'
import { check } from './check'

/** A class's sheets are many pages. */
export const WORKSHEET_MS = 120_000

export const worksheetAsked = (event: H3Event): z.infer<typeof worksheetQuerySchema> =>
  check(worksheetQuerySchema, getQuery(event))

export function sendWorksheet(event: H3Event, { mediaType, body }: File): string | Buffer {
  setResponseHeader(event, 'content-type', mediaType)
  return body
}
