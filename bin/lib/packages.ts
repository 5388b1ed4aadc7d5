/** Debian packages the product lives on, installed only when missing. */
import { spawnSync } from 'node:child_process'
import { existsSync } from 'node:fs'
import { step, Stop } from './step'

export interface DebianPackage {
  readonly name: string
  readonly files: readonly string[]
  readonly what: string
}

export const MARIADB: DebianPackage = {
  name: 'mariadb-server',
  files: ['/usr/sbin/mariadbd', '/usr/bin/mariadb-install-db'],
  what: 'the database server'
}
export const CHROMIUM: DebianPackage = {
  name: 'chromium',
  files: ['/usr/bin/chromium'],
  what: 'the browser of the browser tests'
}

/** What a school puts in front, by the samples of `deploy/`. */
export const IN_FRONT: readonly DebianPackage[] = [
  { name: 'nginx-light', files: ['/usr/sbin/nginx'], what: 'a proxy that the tests put in front' },
  { name: 'apache2-bin', files: ['/usr/sbin/apache2'], what: 'another one' },
  { name: 'openssl', files: ['/usr/bin/openssl'], what: 'what makes their certificate' }
]

/** Debian's own cluster of databases: a library that the database is started with. */
export const CLUSTER: DebianPackage = {
  name: 'galera-4',
  files: ['/usr/lib/galera/libgalera_smm.so'],
  what: 'what makes a cluster of databases'
}

/** @throws Stop when a package is missing and neither root nor sudo is at hand. */
export function installMissing(packages: readonly DebianPackage[]): void {
  const missing = packages.filter(p => !p.files.every(existsSync))
  if (missing.length === 0) return
  const names = missing.map(p => p.name)
  const asRoot = process.getuid?.() === 0
  const sudo = !asRoot && spawnSync('sudo', ['--version'], { stdio: 'ignore' }).status === 0
  if (!asRoot && !sudo)
    throw new Stop(
      `${names.join(' and ')} must be installed, and neither root nor sudo is at hand:`
        + ` apt-get install ${names.join(' ')}`
    )
  for (const p of missing)
    step(`installing Debian's ${p.name}, ${p.what}${asRoot ? '' : ' (sudo asks for your password)'}`)
  const run = (...args: string[]): void => {
    const [command, ...rest] = asRoot ? args : ['sudo', '--preserve-env=DEBIAN_FRONTEND', ...args]
    const { status } = spawnSync(command, rest, {
      stdio: ['inherit', 'ignore', 'inherit'],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' }
    })
    if (status !== 0) throw new Stop(`${args.join(' ')} failed`)
  }
  run('apt-get', 'update', '-qq')
  run('apt-get', 'install', '-y', '-qq', '--no-install-recommends', ...names)
}
