/**
 * The samples of `deploy/`, as a school would put them in front: Debian's own nginx and httpd, over TLS, with no more
 * changed than a name, a certificate and two ports.
 */
import { spawn, spawnSync, type ChildProcess } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { RowDataPacket } from 'mysql2/promise'
import sharp from 'sharp'
import { afterAll, afterEach, beforeAll, describe, expect, it, vi } from 'vitest'
import { freePort, secretsOf } from '../../../bin/lib/database'
import { endChild } from '../../../bin/lib/processes'
import { startServer } from '../../../bin/lib/serve'
import { House, PASSWORD, until } from '../../house'
import { Person, picture } from '../client'

const folder = mkdtempSync(join(tmpdir(), 'critica-proxy-')),
  at = (name: string): string => join(folder, name)
const APACHE_MODULES = '/usr/lib/apache2/modules'

interface Proxy {
  readonly sample: string
  readonly command: readonly string[]
  /** A whole configuration, of which the sample is one part. */
  readonly around: (sample: string) => string
}
const PROXIES: Readonly<Record<'nginx' | 'apache', Proxy>> = {
  nginx: {
    sample: 'deploy/nginx.conf',
    command: ['/usr/sbin/nginx', '-e', at('error.log'), '-c', at('nginx')],
    around: sample => `daemon off; pid ${at('nginx.pid')}; events {}
      http { access_log off; client_body_temp_path ${at('body')}; proxy_temp_path ${at('proxied')};
        fastcgi_temp_path ${at('f')}; uwsgi_temp_path ${at('u')}; scgi_temp_path ${at('s')}; ${sample} }`
  },
  apache: {
    sample: 'deploy/apache.conf',
    command: ['/usr/sbin/apache2', '-D', 'FOREGROUND', '-f', at('apache')],
    around:
      sample => `ServerName localhost\nServerRoot ${folder}\nPidFile ${at('apache.pid')}\nErrorLog ${at('error.log')}
      ${['mpm_event', 'authz_core', 'ssl', 'proxy', 'proxy_http', 'headers']
        .map(name => `LoadModule ${name}_module ${APACHE_MODULES}/mod_${name}.so`)
        .join('\n')}
      Listen 127.0.0.1:PORT\n${sample}`
  }
}

/** Connections to a port of this machine that are in a state: 1 stands, 6 was ended from here (proc(5)). */
const connectionsTo = (port: number, state: 1 | 6): readonly string[] =>
  readFileSync('/proc/net/tcp', 'utf8')
    .split('\n')
    .map(line => line.trim().split(/\s+/))
    .filter(([, , to, is]) => parseInt(to?.split(':')[1] ?? '', 16) === port && parseInt(is!, 16) === state)
    .map(([, from]) => from!)

let house: House
beforeAll(async () => {
  house = await House.open()
  const { status, stderr } = spawnSync(
    'openssl',
    ['req', '-x509', '-newkey', 'rsa:2048', '-nodes', '-days', '2', '-subj', '/CN=localhost'].concat([
      '-addext',
      'subjectAltName=DNS:localhost',
      '-keyout',
      at('key.pem'),
      '-out',
      at('certificate.pem')
    ]),
    { encoding: 'utf8' }
  )
  if (status !== 0) throw new Error(stderr)
}, 60_000)
afterAll(async () => {
  await house.close()
  rmSync(folder, { recursive: true, force: true })
})

/** As the sample says for a school whose address has other things on it. */
const UNDER_A_PATH: Proxy = {
  ...PROXIES.nginx,
  around: sample => PROXIES.nginx.around(sample.replace('location / {', 'location /critica/ {'))
}

describe.each([
  ...Object.entries(PROXIES).map(([name, proxy]) => ({ ...proxy, name, path: '', of: 1 })),
  { ...UNDER_A_PATH, name: 'nginx, under a path', path: '/critica', of: 1 },
  { ...PROXIES.nginx, name: 'nginx, two of us', path: '', of: 2 }
])('behind $name', ({ name, path, sample, command, around, of }) => {
  const servers: ChildProcess[] = []
  let proxy: ChildProcess, origin: string, port: number, inside: number[]

  beforeAll(async () => {
    port = await freePort()
    inside = await Promise.all(Array.from({ length: of }, freePort))
    origin = `https://localhost:${port}${path}`
    // Certificates made a moment ago are nobody's whom this process knows.
    vi.stubEnv('NODE_TLS_REJECT_UNAUTHORIZED', '0')
    for (const [set, value] of [
      ['CRITICA_SECURE_COOKIE', '1'],
      ['CRITICA_TRUSTED_PROXY', '127.0.0.1']
    ] as const)
      vi.stubEnv(set, value)
    const whole = around(readFileSync(sample, 'utf8'))
      .replaceAll('/etc/ssl/critica', folder)
      .replaceAll('critica.school.example', 'localhost')
      .replace('listen 443', `listen 127.0.0.1:${port}`)
      .replace('*:443', `127.0.0.1:${port}`)
      .replace('127.0.0.1:PORT', `127.0.0.1:${port}`)
      .replaceAll('127.0.0.1:3000', `127.0.0.1:${inside[0]!}`)
      .replace('# server 10.0.0.2:3000', line => (of > 1 ? `server 127.0.0.1:${inside[1]!}` : line))
    writeFileSync(command.at(-1)!, whole)
    for (const own of inside)
      servers.push(
        await startServer({
          port: own,
          databaseUrl: house.database.url,
          secret: secretsOf(house.folder).session,
          demo: false,
          origin
        })
      )
    const [file, ...rest] = command
    proxy = spawn(file!, rest, { stdio: ['ignore', 'ignore', 'inherit'] })
    await until(
      `${name} answers`,
      () =>
        fetch(`${origin}/healthz`).then(
          r => r.ok,
          () => false
        ),
      15_000
    )
  }, 60_000)
  afterAll(async () => {
    await endChild(proxy, 3000)
    await Promise.all(servers.map(server => endChild(server, 5000)))
    vi.unstubAllEnvs()
  })
  afterEach(async () => {
    const connection = await house.connect()
    await connection.query('DELETE FROM sign_in_tries')
    await connection.end()
  })

  it.runIf(name === 'nginx')(
    'ends a connection that nobody uses before Critica does',
    async () => {
      const none = (): Promise<void> => until('none is held', () => connectionsTo(inside[0]!, 1).length === 0)
      await none()
      expect((await fetch(`${origin}/healthz`)).status).toBe(200)
      const held = connectionsTo(inside[0]!, 1)
      expect(held).toHaveLength(1)
      await none()
      expect(connectionsTo(inside[0]!, 6)).toContain(held[0])
    },
    40_000
  )

  it('signs in by a cookie of this host and HTTPS alone', async () => {
    const answer = await fetch(`${origin}/api/session`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', origin: new URL(origin).origin },
      body: JSON.stringify({ login: 'learner-0@house.example', password: PASSWORD })
    })
    expect(answer.status).toBe(200)
    expect(answer.headers.get('set-cookie')).toMatch(
      new RegExp(`^__Host-critica${path.replace('/', '-')}=.*; Secure`, 'i')
    )
    expect(answer.headers.get('strict-transport-security')).toMatch(/max-age/)
  })

  it('knows its own address by the proxy, and refuses what another page sends', async () => {
    const send = (from: string): Promise<Response> =>
      fetch(`${origin}/api/session`, {
        method: 'POST',
        headers: { 'content-type': 'application/json', origin: from },
        body: JSON.stringify({ login: 'learner-0@house.example', password: PASSWORD })
      })
    expect((await send('https://elsewhere.example')).status).toBe(403)
    expect((await send(new URL(origin).origin)).status).toBe(200)
  })

  it('counts tries by where they came from, whatever a visitor says of it', async () => {
    for (let i = 0; i < 3; i++)
      await fetch(`${origin}/api/session`, {
        method: 'POST',
        headers: { 'content-type': 'application/json', 'x-forwarded-for': `203.0.113.${i}` },
        body: JSON.stringify({ login: 'learner-0@house.example', password: 'wrong' })
      })
    const connection = await house.connect(),
      [rows] = await connection.query<RowDataPacket[]>("SELECT points FROM sign_in_tries WHERE `key` LIKE 'address:%'")
    await connection.end()
    // One sender, not three.
    expect(rows).toEqual([{ points: 3 }])
  })

  it('takes a picture of 20 MB, says how far it is, and gives it back', async () => {
    const learner = await Person.signedIn('learner-0@house.example', { password: PASSWORD, origin })
    const side = 2700,
      noise = Buffer.alloc(side * side * 3)
    for (let i = 0, x = 1; i < noise.length; i++) noise[i] = (x = (x * 48271) % 2147483647) >> 8
    const png = await sharp(noise, { raw: { width: side, height: side, channels: 3 } })
      .png({ compressionLevel: 1 })
      .toBuffer()
    expect(png.length).toBeGreaterThan(20e6)
    expect(png.length).toBeLessThan(25 * 1024 * 1024)
    const answer = await learner.handIn(png)
    expect(answer.status).toBe(200)
    const { id } = await answer.json()
    await learner.measured(id)
    const back = await learner.fetch(`/submissions/${id}/picture/full`)
    expect([back.status, back.headers.get('content-type')]).toEqual([200, expect.stringMatching(/^image\//)])
    const tooLarge = await learner.handIn(Buffer.concat([png, Buffer.alloc(8e6)]))
    expect([tooLarge.status, await tooLarge.text()]).toEqual([413, expect.stringContaining('25 MB')])
  }, 60_000)

  it.runIf(of > 1)('goes on where one of them is killed: nobody who looks is told of it', async () => {
    const learner = await Person.signedIn('learner-0@house.example', { password: PASSWORD, origin })
    const look = async (): Promise<number[]> =>
      Promise.all(Array.from({ length: 12 }, async () => (await learner.fetch('/submissions')).status))
    expect(new Set(await look())).toEqual(new Set([200]))
    servers[1]!.kill('SIGKILL')
    for (let turn = 0; turn < 3; turn++) expect(new Set(await look())).toEqual(new Set([200]))
    expect((await learner.handIn(await picture(70, 52))).status).toBe(200)
  })
})
