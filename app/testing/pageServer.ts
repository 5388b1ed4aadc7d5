/**
 * A server for tests of the page's own modules: real HTTP, with the product's error bodies; the page's `fetch` is led
 * to it.
 */
import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { vi } from 'vitest'

export interface Asked {
  readonly method: string
  readonly path: string
  readonly body: unknown
}
/** What is answered: a status and a body, or a body alone. */
export interface Answer {
  readonly status?: number
  readonly body: unknown
}

export interface PageServer {
  /** How long an answer takes. */
  delayMs: number
  readonly asked: Asked[]
  readonly close: () => void
}

export const refusal = (status: number, code: string, message: string): Answer => ({
  status,
  body: { error: { code, message } }
})

/** @param answer decides once the request is there in full; what it throws breaks the connection off. */
export async function servePage(answer: (asked: Asked) => Answer): Promise<PageServer> {
  const asked: Asked[] = []
  const server: Server = createServer((request, response) => {
    let text = ''
    request.on('data', (chunk: Buffer) => {
      text += chunk.toString()
    })
    request.on('end', () =>
      setTimeout(() => {
        const question = {
          method: request.method!,
          path: request.url!.replace(/^\/api/, ''),
          body: text ? (JSON.parse(text) as unknown) : null
        }
        asked.push(question)
        try {
          const { status = 200, body } = answer(question)
          response.writeHead(status, { 'content-type': 'application/json' }).end(JSON.stringify(body))
        } catch {
          response.destroy()
        }
      }, served.delayMs)
    )
  }).listen(0, '127.0.0.1')
  await new Promise(resolve => server.once('listening', resolve))
  const origin = `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    real = globalThis.fetch
  vi.stubGlobal('fetch', (path: string, init: RequestInit) => real(origin + path, init))
  const served: PageServer = {
    delayMs: 0,
    asked,
    close() {
      vi.unstubAllGlobals()
      server.closeAllConnections()
      server.close()
    }
  }
  return served
}
