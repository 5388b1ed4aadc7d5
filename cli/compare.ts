/**
 * `npm run --silent compare -- OLD NEW`: one JSON line: whether the new picture is the old one again, where the old one
 * lies in it, what the light did, which readings moved, and for targets whether they were reached.
 */
import { readFile } from 'node:fs/promises'
import { z } from 'zod'
import { compareVersions, type Version } from '../core/compare/compare'
import { believed } from '../core/compare/outcome'
import { nothingKnown } from '../core/critique/piece/known'
import { DEFAULT_STANDARDS } from '../core/critique/standards'
import { roundTo } from '../core/numeric/round'
import { WHEEL_NAMES } from '../core/wheel/steps'
import { decodePicture, READABLE } from '../server/work/decode'
import { targetSchema } from '../shared/target'
import { command, oneOf, readArguments, UsageError } from './arguments'
import { areaOf, place, readJson } from './places'

const targetsFile = z.array(z.object({ target: targetSchema, area: place.optional() })).min(1)

/** @throws Error in the reader's words. */
async function versionOf(file: string): Promise<Version> {
  const outcome = await decodePicture(await readFile(file), READABLE)
  if (outcome.kind === 'refused') throw new Error(outcome.message)
  return outcome
}

const said = (error: unknown): string => {
  const { code, message } = error as NodeJS.ErrnoException
  return code === 'ENOENT' ? 'There is no such file.' : code === 'EISDIR' ? 'This is a folder, not a picture.' : message
}

await command(async () => {
  const { values, positionals } = readArguments(
    process.argv.slice(2),
    { targets: { type: 'string' }, wheel: { type: 'string' } },
    'picture file'
  )
  const [old, next, ...more] = positionals
  if (!old || !next || more.length) throw new UsageError('name two pictures: the old version, then the new one')
  const wheel = oneOf('wheel', values.wheel, WHEEL_NAMES)
  const asked = await readJson({
    option: 'targets',
    file: values.targets,
    schema: targetsFile,
    shape: '[{ "target": { "measure", "atLeast" or "atMost" }, "area"?: [x,y,w,h] or [[x,y],…] }]'
  })
  const write = (line: object): void => void process.stdout.write(`${JSON.stringify({ old, new: next, ...line })}\n`)
  const versions: Version[] = []
  for (const file of [old, next])
    try {
      versions.push(await versionOf(file))
    } catch (error) {
      write({ error: `${file}: ${said(error)}` })
      return 1
    }
  const compared = compareVersions(versions[0], versions[1], {
      known: nothingKnown(wheel),
      standards: { ...DEFAULT_STANDARDS, wheel },
      asked: (asked ?? []).map(({ target, area }) => ({ target, area: area ? areaOf(area) : null }))
    }),
    { registration, light } = compared,
    { landed, moved } = believed(compared)
  const { match, corners } = registration
  write({
    match,
    corners: corners?.map(({ x, y }) => [roundTo(x, 4), roundTo(y, 4)]) ?? null,
    exposure: light ? roundTo(light.stops, 2) : null,
    moved: moved.map(({ id, before, after }) => ({ id, before: roundTo(before, 3), after: roundTo(after, 3) })),
    ...(asked
      ? {
          targets: landed.map(({ landing, before, after }, i) => ({
            measure: asked[i].target.measure,
            landing,
            before: before && roundTo(before.value, 3),
            after: after && roundTo(after.value, 3)
          }))
        }
      : {})
  })
  return 0
})
