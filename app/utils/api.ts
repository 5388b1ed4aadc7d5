/** Talking to the server: one function, answers checked against the shared contract. */
import type { z } from 'zod'
import { AppError, type ErrorBody } from '~~/shared/errors'
import { giveFile } from './giveFile'
import { newKey } from './newKey'

export interface ApiOptions {
  method?: 'GET' | 'POST' | 'PUT' | 'DELETE'
  /** Sent as JSON, or as it is when it is a form. */
  body?: unknown
}

const LINES = 'application/x-ndjson'

/** Keys of what was asked for and not answered yet: the same, asked for again, is the same request. */
const unanswered = new Map<string, string>()
/** What a form says, and which files it brings: the same words and files again are the same form. */
const wordsOf = (form: FormData): string =>
  JSON.stringify([...form].map(([name, v]) => [name, v instanceof File ? [v.name, v.size, v.lastModified] : v]))
/** What a question is known by again; null for one that makes nothing. */
const markOf = (path: string, { method, body }: ApiOptions): string | null =>
  method === 'POST' ? `${path}\n${body instanceof FormData ? wordsOf(body) : JSON.stringify(body)}` : null
/** Answers that leave it open whether the change was made. */
const OPEN = [502, 503, 504]

/** An answer that comes line by line: it is whole with its last. */
const isTold = (answer: Response): boolean => answer.headers.get('content-type')?.startsWith(LINES) ?? false

async function send(path: string, options: ApiOptions, accept = '*/*'): Promise<Response> {
  const { method = 'GET', body } = options,
    form = body instanceof FormData,
    sent = body === undefined ? undefined : form ? body : JSON.stringify(body),
    mark = markOf(path, options),
    key = mark && (unanswered.get(mark) ?? newKey())
  if (mark) unanswered.set(mark, key!)
  try {
    const answer = await fetch(apiAt(path), {
      method,
      body: sent,
      headers: {
        accept,
        ...(body === undefined || form ? {} : { 'content-type': 'application/json' }),
        ...(key ? { 'idempotency-key': `"${key}"` } : {})
      }
    })
    if (mark && !OPEN.includes(answer.status) && !isTold(answer)) unanswered.delete(mark)
    return answer
  } catch {
    throw new AppError('unexpected', 'The server does not answer. What you wrote is still here; try again in a moment.')
  }
}

function refusalOf(data: unknown): AppError {
  const error = (data as ErrorBody | null)?.error
  return new AppError(
    error?.code ?? 'unexpected',
    error?.message ?? 'Something went wrong here. Nothing was changed; try again.'
  )
}

/** @throws AppError with the server's code and sentence. */
export async function api<S extends z.ZodType>(schema: S, path: string, options: ApiOptions = {}): Promise<z.infer<S>> {
  const response = await send(path, options)
  const data: unknown = await response.json().catch(() => null)
  if (!response.ok) throw refusalOf(data)
  return schema.parse(data)
}

/**
 * As `api`, for what takes a while and says how far it is.
 * @param tell called with each telling as it comes. @throws AppError as `api` does.
 */
export async function apiTold<S extends z.ZodType>(
  { answer, path, body }: { readonly answer: S; readonly path: string; readonly body?: FormData },
  tell: (at: unknown) => void
): Promise<z.infer<S>> {
  const asked = { method: body ? 'POST' : 'GET', body } as const,
    response = await send(path, asked, LINES)
  if (!isTold(response)) throw refusalOf(await response.json().catch(() => null))
  const reader = response.body!.pipeThrough(new TextDecoderStream()).getReader()
  let rest = ''
  for (let { done, value } = await reader.read(); !done; { done, value } = await reader.read()) {
    const lines = (rest + value).split('\n')
    rest = lines.pop()!
    for (const line of lines.map(text => JSON.parse(text) as { told?: unknown; answer?: unknown })) {
      if ('told' in line) {
        tell(line.told)
        continue
      }
      unanswered.delete(markOf(path, asked) ?? '')
      if (line.answer) return answer.parse(line.answer)
      throw refusalOf(line)
    }
  }
  throw refusalOf(null)
}

/** A file that is made when it is asked for, given to the browser to keep. @throws AppError as `api` does. */
export async function download(
  path: string,
  { method, fileName }: { readonly method: 'GET' | 'POST'; readonly fileName: string }
): Promise<void> {
  const response = await send(path, { method })
  if (!response.ok) throw refusalOf(await response.json().catch(() => null))
  giveFile(await response.blob(), fileName)
}

/** The sentence of anything that was thrown, by `api` or by what the framework wrapped around it. */
export function messageOf(error: unknown): string {
  const thrown = error instanceof Error && error.cause instanceof AppError ? error.cause : error
  return thrown instanceof AppError ? thrown.message : 'Something went wrong here. Try again.'
}
