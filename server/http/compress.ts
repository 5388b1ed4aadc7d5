/** Long answers go out compressed, by zlib's own threads. */
import { Stream } from 'node:stream'
import { promisify } from 'node:util'
import { gzip } from 'node:zlib'
import { appendResponseHeader, getRequestHeader, setResponseHeader, type H3Event } from 'h3'

const zip = promisify(gzip)
/** Under this a packet is a packet. */
const WORTH_BYTES = 1400

/** @param answer of a handler. @returns it as it is where it is short, not JSON, or asked for plain. */
export async function compressed(event: H3Event, answer: unknown): Promise<unknown> {
  if (typeof answer !== 'object' || answer === null || Buffer.isBuffer(answer) || answer instanceof Stream)
    return answer
  const json = JSON.stringify(answer)
  setResponseHeader(event, 'content-type', 'application/json')
  appendResponseHeader(event, 'vary', 'accept-encoding')
  if (json.length < WORTH_BYTES || !/\bgzip\b/.test(getRequestHeader(event, 'accept-encoding') ?? '')) return json
  setResponseHeader(event, 'content-encoding', 'gzip')
  return zip(json, { level: 4 })
}
