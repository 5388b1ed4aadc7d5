/** What a machine that watches is told: on a loopback port of its own, and of nobody's name or piece. */
import type { ChildProcess } from 'node:child_process'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { freePort } from '../../../bin/lib/database'
import { endChild } from '../../../bin/lib/processes'
import { aboutOf } from '../../../server/http/about'
import { anotherServer, Person } from '../client'

let server: ChildProcess, origin: string, port: number
beforeAll(async () => {
  port = await freePort()
  process.env.CRITICA_METRICS_PORT = String(port)
  ;({ server, origin } = await anotherServer())
}, 40_000)
afterAll(async () => {
  delete process.env.CRITICA_METRICS_PORT
  await endChild(server)
})

it('tells requests by what they were about, the queue, memory and the event loop', async () => {
  const ada = await Person.signedIn('ada', { origin })
  await ada.fetch('/submissions/1')
  await ada.fetch('/call/1-somebodys-link')
  const text = await (await fetch(`http://127.0.0.1:${port}/metrics`)).text()
  expect(text).toMatch(/critica_request_seconds_count\{about="api\/submissions",method="GET",status="200"\} 1\n/)
  expect(text).toMatch(/critica_request_seconds_count\{about="api\/call",method="GET",status="404"\} 1\n/)
  expect(text).toMatch(/critica_measuring_queue \d+\n/)
  expect(text).toMatch(/critica_tasks_waiting\{lane="picture"\} 0\n/)
  expect(text).toMatch(/critica_process_resident_memory_bytes \d+/)
  expect(text).toMatch(/critica_nodejs_eventloop_lag_p99_seconds/)
  expect(text).not.toMatch(/ada|somebodys|harbour/)
  expect((await fetch(`http://127.0.0.1:${port}/`)).status).toBe(404)
})

it.each([
  ['/api/submissions/12/picture/display', 'api/submissions'],
  ['/api/call/7-abcDEF0123', 'api/call'],
  ['/api/Ada Quill', 'api'],
  ['/readyz?x=1', 'readyz'],
  ['/_nuxt/x.js', 'file'],
  ['/critique/11', 'page']
])('%s is told as %s', (path, about) => expect(aboutOf(path)).toBe(about))
