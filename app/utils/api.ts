/** Talking to the server: one function, answers checked against the shared contract. */
import type { z } from 'zod'
import { AppError, type ErrorBody } from '~~/shared/errors'

export interface ApiOptions {
  method?: 'GET' | 'POST' | 'PUT' | 'DELETE'
  /** Sent as JSON, or as it is when it is a form. */
  body?: unknown
}

async function send(path: string, { method = 'GET', body }: ApiOptions): Promise<Response> {
  const form = body instanceof FormData
  try {
    return await fetch(`/api${path}`, {
      method,
      body: body === undefined ? undefined : form ? body : JSON.stringify(body),
      headers: body === undefined || form ? {} : { 'content-type': 'application/json' }
    })
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

/** A file that is made when it is asked for, given to the browser to keep. @throws AppError as `api` does. */
export async function download(
  path: string,
  { method, fileName }: { readonly method: 'GET' | 'POST'; readonly fileName: string }
): Promise<void> {
  const response = await send(path, { method })
  if (!response.ok) throw refusalOf(await response.json().catch(() => null))
  const link = document.createElement('a')
  link.href = URL.createObjectURL(await response.blob())
  link.download = fileName
  link.click()
  setTimeout(() => URL.revokeObjectURL(link.href), 60_000)
}

/** The sentence of anything that was thrown, by `api` or by what the framework wrapped around it. */
export function messageOf(error: unknown): string {
  const thrown = error instanceof Error && error.cause instanceof AppError ? error.cause : error
  return thrown instanceof AppError ? thrown.message : 'Something went wrong here. Try again.'
}
