/**
 * What may be sent, and what every answer carries: one request never takes the server down, and none tells more than it
 * should.
 */
import { connect } from 'node:net'
import { beforeAll, describe, expect, it } from 'vitest'
import { longestWait } from '../probe'
import { ORIGIN, Person, picture } from './client'

let tamsin: Person,
  rosa: Person,
  id = 0
beforeAll(async () => {
  tamsin = await Person.signedIn('tamsin')
  rosa = await Person.signedIn('rosa')
  id = ((await (await rosa.handIn(await picture(), { title: 'Requests' })).json()) as { id: number }).id
})

const post = (
  path: string,
  body: BodyInit,
  { type = 'application/json', cookie = '' }: { readonly type?: string; readonly cookie?: string } = {}
): Promise<Response> =>
  fetch(`${ORIGIN}/api${path}`, {
    method: 'POST',
    body,
    headers: { 'content-type': type, cookie },
    duplex: 'half'
  } as RequestInit)
const codeOf = async (response: Response): Promise<unknown> => [
  response.status,
  ((await response.json()) as { error: { code: string } }).error.code
]

describe('a body', () => {
  it('of fifty megabytes of brackets is refused before it is read, and nobody waits for it', async () => {
    const waited = await longestWait(ORIGIN, 300, async () => {
      expect(await codeOf(await post('/session', '['.repeat(50 * 1024 * 1024)))).toEqual([413, 'too-large'])
    })
    expect(waited).toBeLessThan(300)
  })

  it('that does not say its length is refused as soon as it is too long', async () => {
    let sent = 0
    const stream = new ReadableStream({
      pull(controller) {
        sent += 65_536
        if (sent > 20 * 1024 * 1024) controller.close()
        else controller.enqueue(new Uint8Array(65_536).fill(91))
      }
    })
    expect(await codeOf(await post('/session', stream))).toEqual([413, 'too-large'])
  })

  it('nested deeper than anything of ours, of another type, or no JSON at all is refused with a sentence', async () => {
    expect(await codeOf(await post('/session', '['.repeat(33) + ']'.repeat(33)))).toEqual([422, 'invalid'])
    expect(await codeOf(await post('/session', '{"a":"' + '['.repeat(99) + '"}'))).toEqual([422, 'invalid'])
    expect(await codeOf(await post('/session', 'email=a', { type: 'application/x-www-form-urlencoded' }))).toEqual([
      415,
      'wrong-type'
    ])
    expect(await codeOf(await post('/session', '{'))).toEqual([422, 'invalid'])
    expect(await codeOf(await post('/submissions', '{}', { type: 'application/json', cookie: rosa.cookie }))).toEqual([
      415,
      'wrong-type'
    ])
  })

  it('of annotations has a limit of its own, in length and in depth', async () => {
    const items = (n: number): string =>
      JSON.stringify({
        items: Array.from({ length: n }, () => ({ type: 'Annotation', target: 'x', body: 'x'.repeat(3000) }))
      })
    expect(
      (await post(`/submissions/${id}/annotations`, items(150), { type: 'application/ld+json', cookie: tamsin.cookie }))
        .status
    ).toBe(200)
    expect(
      await codeOf(
        await post(`/submissions/${id}/annotations`, items(7000), {
          type: 'application/ld+json',
          cookie: tamsin.cookie
        })
      )
    ).toEqual([413, 'too-large'])
    const deep = `{"type":"Annotation","target":"x","body":"x","own":${'['.repeat(5000)}${']'.repeat(5000)}}`
    expect(
      await codeOf(
        await post(`/submissions/${id}/annotations`, deep, { type: 'application/json', cookie: tamsin.cookie })
      )
    ).toEqual([422, 'invalid'])
  })

  it('with room for the longest correction the bench can make', async () => {
    const place = (i: number): [number, number, number] => [0.123456789 + i / 1e4, 0.987654321, 0.5],
      points = Array.from({ length: 300 }, (_, i) => place(i).map(v => Math.round(v * 1e4) / 1e4))
    const strokes = Array.from({ length: 12 }, () => ({ hex: '#336699', width: 0.01, points }))
    const longest = {
      station: 'values',
      area: { kind: 'polygon', points: Array.from({ length: 400 }, (_, i) => [i / 400, 0.5]) },
      mark: { kind: 'stroke', points },
      readingId: null,
      reason: 'r'.repeat(2000),
      what: 'w'.repeat(2000),
      todo: 't'.repeat(2000),
      target: null,
      trial: { outside: false, feather: 0, strength: 1, operations: [], strokes }
    }
    const { id: correction } = (await (
      await tamsin.json('POST', `/submissions/${id}/corrections`, longest)
    ).json()) as { id: number }
    expect(
      (
        await tamsin.json('PUT', `/submissions/${id}/corrections/${correction}`, {
          ...longest,
          what: 'Shorter',
          over: longest
        })
      ).status
    ).toBe(200)
  })
})

describe('where a request comes from', () => {
  it.each(['null', 'garbage', 'http://', 'http://elsewhere.example', 'file:///x'])(
    'a change from origin %s is refused',
    async origin => {
      expect((await rosa.fetch('/submissions/1/measure', { method: 'POST', headers: { origin } })).status).toBe(403)
    }
  )

  it('an address a stranger claims for themselves is not believed', async () => {
    const response = await fetch(`${ORIGIN}/api/submissions/${id}/export/annotations.json`, {
      headers: { cookie: tamsin.cookie, 'x-forwarded-proto': 'https', 'x-forwarded-host': 'elsewhere.example' }
    })
    const text = await response.text()
    expect(response.status).toBe(200)
    expect(text).not.toContain('elsewhere.example')
    expect(text).not.toContain('https://127')
  })
})

describe('an address', () => {
  it('that is none is said to be none, in JSON; a known one asked in another way says which it knows', async () => {
    for (const path of ['/nothing', '/submissions/1/nothing', '/'])
      expect(await codeOf(await fetch(`${ORIGIN}/api${path}`))).toEqual([404, 'not-found'])
    const wrong = await rosa.fetch('/submissions', { method: 'DELETE' })
    expect(wrong.headers.get('allow')).toBe('GET, POST')
    expect(await codeOf(wrong)).toEqual([405, 'wrong-method'])
    expect(await codeOf(await rosa.fetch('/submissions/1/release', { method: 'PUT' }))).toEqual([405, 'wrong-method'])
    // Asked in the right way afterwards, it answers as before.
    expect((await rosa.fetch('/submissions')).status).toBe(200)
  })
})

describe('every answer', () => {
  it('says what a browser may do with it, and not what made it', async () => {
    const pages = ['/', '/desk', '/api/session', '/mark.svg', '/api/nothing']
    for (const path of pages) {
      const { headers } = await fetch(ORIGIN + path)
      expect([
        path,
        headers.get('x-powered-by'),
        headers.get('x-content-type-options'),
        headers.get('referrer-policy')
      ]).toEqual([path, null, 'nosniff', 'same-origin'])
      expect(headers.get('content-security-policy'), path).toMatch(/default-src 'self'.*frame-ancestors 'none'/)
      expect(headers.get('strict-transport-security'), path).toBeNull()
    }
    const policy = (await fetch(`${ORIGIN}/desk`)).headers.get('content-security-policy')!
    expect(policy).toMatch(/script-src 'self'( 'sha256-[^']+')+/)
    expect(policy.match(/script-src[^;]*/)![0]).not.toContain('unsafe')
  })

  it('to a question sets no cookie', async () => {
    for (const path of ['/', '/api/session', '/api/submissions'])
      expect((await fetch(ORIGIN + path)).headers.getSetCookie(), path).toEqual([])
  })

  it('that is long is compressed for whoever takes it so', async () => {
    const length = (encoding: string): Promise<{ bytes: number; said: string }> =>
      new Promise(resolve => {
        const { hostname, port } = new URL(ORIGIN),
          socket = connect(Number(port), hostname)
        let bytes = 0,
          said = ''
        socket
          .on('data', (part: Buffer) => {
            bytes += part.length
            said += part.toString('latin1')
          })
          .on('end', () => resolve({ bytes, said }))
        socket.write(
          `GET /api/submissions?shelf=review HTTP/1.1\r\nhost: ${hostname}:${port}\r\ncookie: ${tamsin.cookie}\r\n`
            + `accept-encoding: ${encoding}\r\nconnection: close\r\n\r\n`
        )
      })
    const [plain, zipped] = [await length('identity'), await length('gzip')]
    expect(zipped.said).toMatch(/content-encoding: gzip/i)
    expect(plain.said).not.toMatch(/content-encoding/i)
    expect(zipped.bytes).toBeLessThan(plain.bytes / 2)
  })
})

describe('what stays behind', () => {
  it('a part of a picture comes alone, as long as it is still that picture', async () => {
    const path = `/submissions/${id}/picture/display`,
      whole = await rosa.fetch(path),
      bytes = Buffer.from(await whole.arrayBuffer()),
      etag = whole.headers.get('etag')!
    const part = async (headers: Record<string, string>): Promise<[number, string | null, boolean]> => {
      const answer = await rosa.fetch(path, { headers }),
        got = Buffer.from(await answer.arrayBuffer())
      const [start, end] =
        /(\d+)-(\d+)/
          .exec(answer.headers.get('content-range') ?? '')
          ?.slice(1)
          .map(Number) ?? []
      return [
        answer.status,
        answer.headers.get('content-range'),
        got.equals(bytes.subarray(start ?? 0, (end ?? 1e9) + 1))
      ]
    }
    const n = bytes.length
    // RFC 9110, 14.1.2: from one byte to another, from one on, the last ones.
    expect(await part({ range: 'bytes=10-19' })).toEqual([206, `bytes 10-19/${n}`, true])
    expect(await part({ range: 'bytes=20-', 'if-range': etag })).toEqual([206, `bytes 20-${n - 1}/${n}`, true])
    expect(await part({ range: 'bytes=-5' })).toEqual([206, `bytes ${n - 5}-${n - 1}/${n}`, true])
    expect(await part({ range: 'bytes=20-', 'if-range': '"another"' })).toEqual([200, null, true])
    for (const nothing of ['bytes=9-3', 'lines=1-2', 'bytes=1-2,5-6', 'x'])
      expect(await part({ range: nothing })).toEqual([200, null, true])
    expect((await rosa.fetch(path, { headers: { range: `bytes=${n}-` } })).status).toBe(416)
  })

  it('a picture is asked for each time, answered without its bytes to its owner, not at all to the next', async () => {
    const path = `/submissions/${id}/picture/display`,
      first = await rosa.fetch(path)
    expect([first.headers.get('cache-control'), first.headers.get('vary')]).toEqual(['private, no-cache', 'cookie'])
    const again = { headers: { 'if-none-match': first.headers.get('etag')! } }
    expect((await rosa.fetch(path, again)).status).toBe(304)
    const bram = await Person.signedIn('bram')
    expect((await bram.fetch(path, again)).status).toBe(404)
    const out = await bram.json('DELETE', '/session')
    expect(out.headers.get('clear-site-data')).toBe('"cache"')
    expect((await bram.fetch(path, again)).status).toBe(401)
  })
})
