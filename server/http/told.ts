/** Answers that take a while, and say how far they are. */
import { getRequestHeader, setResponseHeader, type H3Event } from 'h3'
import { errorBody } from './route'

const LINES = 'application/x-ndjson'

/**
 * Where the sender accepts lines of JSON, each telling comes as `{ told }` and the last line is `{ answer }` or, as
 * anywhere, `{ error }`; the status is then sent before the end is known. Otherwise the answer comes alone.
 */
export async function told<A, T>(event: H3Event, work: (tell: (at: T) => void) => Promise<A>): Promise<A | undefined> {
  if (!getRequestHeader(event, 'accept')?.includes(LINES)) return work(() => {})
  const { res } = event.node,
    line = (of: object): boolean => res.write(`${JSON.stringify(of)}\n`)
  setResponseHeader(event, 'content-type', LINES)
  try {
    line({ answer: await work(at => line({ told: at })) })
  } catch (error) {
    line(errorBody(event, error))
  }
  res.end()
  return undefined
}
