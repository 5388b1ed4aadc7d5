/** All tests, in the order in which they fail fastest; ends with `N passed, N failed`. */
import { spawn, type ChildProcess } from 'node:child_process'
import { chmodSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { buildIfChanged } from './build'
import {
  failuresOfPlaywright,
  failuresOfVitest,
  tellFailures,
  type Failure,
  type PlaywrightResult,
  type VitestResult
} from './failures'
import { freePort, secretsOf, startDatabase, type RunningDatabase } from './database'
import { CHROMIUM, CLUSTER, IN_FRONT, installMissing, MARIADB } from './packages'
import { endChild } from './processes'
import { loadDemoAloud } from './demo'
import { prepareDatabase, startServer } from './serve'
import { main, ROOT, step } from './step'

interface Tally {
  passed: number
  failed: number
}
const tally: Tally = { passed: 0, failed: 0 },
  failures: Failure[] = []

function run(command: string, args: string[], env: NodeJS.ProcessEnv = {}): Promise<number> {
  return new Promise(resolve => {
    spawn(command, args, { cwd: ROOT, stdio: 'inherit', env: { ...process.env, ...env } }).once('exit', code =>
      resolve(code ?? 1)
    )
  })
}

/** A check that is one test by itself: lint, a type check, the build. */
async function single(what: string, command: string, args: string[]): Promise<void> {
  step(what)
  const ok = (await run(command, args)) === 0
  tally[ok ? 'passed' : 'failed']++
  if (!ok) failures.push({ name: what, message: 'what it says stands above' })
}

async function vitest(project: string, folder: string, env: NodeJS.ProcessEnv = {}): Promise<void> {
  step(`${project} tests`)
  const file = join(folder, `${project}.json`)
  const code = await run(
    'npx',
    ['vitest', 'run', '--project', project, '--reporter=default', '--reporter=json', `--outputFile.json=${file}`],
    env
  )
  const result = JSON.parse(readFileSync(file, 'utf8')) as VitestResult
  tally.passed += result.numPassedTests
  tally.failed += Math.max(result.numFailedTests, code === 0 ? 0 : 1)
  failures.push(...failuresOfVitest(result))
}

async function playwright(folder: string, env: NodeJS.ProcessEnv): Promise<void> {
  step('browser tests')
  const file = join(folder, 'browser.json')
  const code = await run('npx', ['playwright', 'test', '--reporter=list,json'], {
    ...env,
    PLAYWRIGHT_JSON_OUTPUT_NAME: file
  })
  const { stats, suites } = JSON.parse(readFileSync(file, 'utf8')) as PlaywrightResult
  tally.passed += stats.expected
  tally.failed += Math.max(stats.unexpected + stats.flaky, code === 0 ? 0 : 1)
  failures.push(...failuresOfPlaywright(suites))
}

/** The name of the mail server that the tests' server believes about a sender. */
process.env.CRITICA_MAIL_AUTHSERV = 'mx.harbour.example'

main(async () => {
  const folder = mkdtempSync(join(tmpdir(), 'critica-test-')),
    // Whoever serves reaches it: the other is its maker's alone.
    maildir = mkdtempSync(join(tmpdir(), 'critica-mail-'))
  chmodSync(maildir, 0o755)
  let database: RunningDatabase | null = null
  let server: ChildProcess | null = null
  const cleanUp = async (): Promise<void> => {
    if (server) await endChild(server)
    await database?.stop()
    for (const own of [folder, maildir]) rmSync(own, { recursive: true, force: true })
  }
  process.on('SIGINT', () => void cleanUp().then(() => process.exit(130)))
  try {
    installMissing([MARIADB, CLUSTER, CHROMIUM, ...IN_FRONT])
    await Promise.all([
      single('lint', 'npm', ['run', '--silent', 'lint']),
      single('type checks', 'npm', ['run', '--silent', 'typecheck'])
    ])
    await vitest('unit', folder)
    buildIfChanged()
    tally.passed++
    step('starting a throw-away MariaDB and the built server')
    database = await startDatabase(folder, await freePort(), false)
    await prepareDatabase(database.keeperUrl)
    const port = await freePort(),
      secret = secretsOf(folder).session
    await loadDemoAloud({ url: database.url, secret })
    server = await startServer({ port, databaseUrl: database.url, secret, demo: true, maildir })
    const env = {
      TEST_MAILDIR: maildir,
      CRITICA_TEST_ORIGIN: `http://127.0.0.1:${port}`,
      CRITICA_DATABASE_URL: database.url,
      CRITICA_SECRET: secret,
      TEST_KEEPER_URL: database.keeperUrl
    }
    await vitest('api', folder, env)
    await playwright(folder, env)
  } finally {
    await cleanUp()
  }
  tellFailures(failures)
  console.log(`${tally.passed} passed, ${tally.failed} failed`)
  if (tally.failed > 0) process.exitCode = 1
})
