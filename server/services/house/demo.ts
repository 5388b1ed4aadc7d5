/** The demo class: loaded by a program of its own, which the two commands name; taken away here. */
import { spawn } from 'node:child_process'
import { AppError } from '../../../shared/errors'
import type { House } from '../../../shared/person'
import { demoClasses } from '../../db/people/erasure'
import { db } from '../../db/pool'
import { settings } from '../../settings'
import { audit } from './audit'
import { removeDemo } from './erasing'
import { wakeMeasuring } from '../pieces/measuring'

let loading = false

export async function demoState(): Promise<House['demo']> {
  if (loading) return 'loading'
  if ((await demoClasses(db())).length > 0) return 'loaded'
  return settings().CRITICA_DEMO_LOADER ? 'none' : null
}

/** Begins it; it takes about a minute. @throws AppError invalid where there is one already, or none to load. */
export async function loadDemo(actorId: number): Promise<void> {
  const { CRITICA_DEMO_LOADER: loader } = settings()
  if (!loader || (await demoState()) !== 'none')
    throw new AppError('invalid', 'The demo class is here already, or cannot be loaded in this house.')
  loading = true
  await audit(db(), { action: 'demo-loaded', actorId })
  const child = spawn(process.execPath, ['--import', 'tsx', loader], { stdio: ['ignore', 'ignore', 'inherit'] })
  const done = (): void => {
    loading = false
    wakeMeasuring()
  }
  child.once('exit', done).once('error', done)
}

/** @throws AppError invalid while it is being loaded. */
export async function takeDemoAway(actorId: number): Promise<void> {
  if (loading) throw new AppError('invalid', 'The demo class is still being loaded. Wait until it is there.')
  await removeDemo(actorId)
}
