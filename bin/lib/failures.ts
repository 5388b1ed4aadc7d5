/**
 * What failed, once more at the end of all tests: the log of a machine far away is often read from its end, and a test
 * that failed there alone is only understood by what it said and by what the page showed.
 */
import { existsSync, readFileSync } from 'node:fs'

export interface Failure {
  readonly name: string
  readonly message: string
}

/** Lines kept of each. */
const LINES = 40

// eslint-disable-next-line no-control-regex -- the colours of a terminal
const plain = (text: string): string => text.replace(/\u001b\[[0-9;]*m/g, '')

/** The JSON of Vitest's own reporter, as far as it is read. */
export interface VitestResult {
  readonly numPassedTests: number
  readonly numFailedTests: number
  readonly testResults: readonly {
    readonly name: string
    readonly status: string
    readonly message?: string
    readonly assertionResults: readonly {
      readonly status: string
      readonly fullName: string
      readonly failureMessages?: readonly string[]
    }[]
  }[]
}

/** A file that did not get as far as its tests is one failure. */
export function failuresOfVitest({ testResults }: VitestResult): Failure[] {
  return testResults.flatMap(file => {
    const failed = file.assertionResults.filter(test => test.status === 'failed')
    if (failed.length === 0 && file.status === 'failed')
      return [{ name: file.name, message: plain(file.message ?? '') }]
    return failed.map(test => ({
      name: `${file.name} › ${test.fullName}`,
      message: plain((test.failureMessages ?? []).join('\n'))
    }))
  })
}

/** The JSON of Playwright's own reporter, as far as it is read. */
export interface PlaywrightResult {
  readonly stats: { readonly expected: number; readonly unexpected: number; readonly flaky: number }
  readonly suites: readonly PlaywrightSuite[]
}
interface PlaywrightSuite {
  readonly title: string
  readonly suites?: readonly PlaywrightSuite[]
  readonly specs?: readonly {
    readonly title: string
    readonly file: string
    readonly ok: boolean
    readonly tests: readonly {
      readonly results: readonly {
        readonly error?: { readonly message?: string }
        readonly attachments?: readonly { readonly name: string; readonly path?: string }[]
      }[]
    }[]
  }[]
}

/** What was expected and what the page showed instead, as the runner wrote them down. */
function details(attachments: readonly { name: string; path?: string }[]): string | undefined {
  const path = attachments.find(a => a.name === 'error-context')?.path
  if (path === undefined || !existsSync(path)) return undefined
  return readFileSync(path, 'utf8').split('# Error details')[1]?.split('# Test source')[0]?.trim()
}

export function failuresOfPlaywright(suites: readonly PlaywrightSuite[]): Failure[] {
  return suites.flatMap(suite => [
    ...failuresOfPlaywright(suite.suites ?? []),
    ...(suite.specs ?? [])
      .filter(spec => !spec.ok)
      .map(spec => {
        const result = spec.tests[0]?.results.at(-1)
        return {
          name: `${spec.file} › ${spec.title}`,
          message: details(result?.attachments ?? []) ?? plain(result?.error?.message ?? '')
        }
      })
  ])
}

export function tellFailures(failures: readonly Failure[]): void {
  for (const { name, message } of failures)
    console.log(`\n× ${name}\n${message.split('\n').slice(0, LINES).join('\n')}`)
}
