/** Open pictures against what a person said of each before. */
import { readFileSync } from 'node:fs'
import { basename, join } from 'node:path'
import { nothingKnown } from '../../core/critique/piece/known'
import { isMeasured } from '../../core/measure/report'
import { decodePicture, READABLE } from '../../server/work/decode'
import { firstLook, judge, onRim, row, Share, Tally, title, type Half, type Judged } from './judged'
import { LABELS } from './labels'
import { FOURTH_LABELS } from './labels-fourth'
import { KEPT_LABELS } from './labels-kept'
import { LATER_LABELS } from './labels-later'
import { openPictures, type Label } from './open'

const everyOther = (labels: readonly Label[], from: 0 | 1): readonly Label[] => labels.filter((_, i) => i % 2 === from)

/** The first set was tuned by whole; of the second and the fourth every other one is kept back, the third whole. */
const labelsOf = (half: Half): readonly Label[] =>
  half === 'kept'
    ? [...everyOther(LATER_LABELS, 1), ...KEPT_LABELS, ...everyOther(FOURTH_LABELS, 1)]
    : [...LABELS, ...everyOther(LATER_LABELS, 0), ...everyOther(FOURTH_LABELS, 0)]

const holds = ([x, y, w, h]: Label['look'][number], at: { x: number; y: number }): boolean =>
  at.x >= x && at.x <= x + w && at.y >= y && at.y <= y + h

async function judgeLabelled(label: Label, files: readonly string[]): Promise<Judged> {
  const file = files.find(
    f => basename(f).startsWith(label.file) && f.includes(label.from ?? '') && /\.(jpe?g|png|webp)$/.test(f)
  )
  if (!file) throw new Error(`no open picture begins with ${label.file}`)
  const outcome = await decodePicture(readFileSync(file), READABLE)
  if (outcome.kind === 'refused') throw new Error(`${label.file}: ${outcome.message}`)
  return judge(outcome.raster, nothingKnown('painter'), outcome.source.format)
}

export async function judgeOpen(half: Half, loud: boolean): Promise<void> {
  const files = openPictures(join('.cache', 'open-pictures')),
    labels = labelsOf(half),
    looks = new Share(),
    clear = new Share(),
    firsts = new Share(),
    horizons = new Share(),
    raised = new Tally()
  let rim = 0,
    alarms = 0
  for (const label of labels) {
    const judged = await judgeLabelled(label, files),
      { report, readings } = judged,
      look = firstLook(report)
    rim += onRim(report) ? 1 : 0
    if (label.look.length > 0 && look) {
      const right = looks.count(label.look.some(box => holds(box, look)))
      if (label.look.length === 1) clear.count(right)
      if (loud && !right) {
        const told = readings.find(r => r.id === 'focus.path')?.sentence
        console.log(`  ${label.from ?? ''}${label.file} looks at ${look.x}, ${look.y}: ${told}`)
      }
    }
    const said = readings.filter(r => r.verdict !== 'works'),
      stray = said.filter(r => !label.first.includes(r.id)),
      first = readings.find(r => r.first?.rank === 1)
    alarms += stray.length
    for (const r of stray) raised.add(r.id)
    const same = firsts.count(label.first.length === 0 ? !first : Boolean(first && label.first.includes(first.id)))
    if (loud && (!same || stray.length > 0)) {
      const told = said.map(r => `${r.first ? `${r.first.rank}. ` : ''}${r.verdict} ${r.sentence}`).join(' | ')
      console.log(`  ${label.file} wanted ${label.first.join(' or ') || 'nothing'}, said: ${told}`)
    }
    if (label.horizon === 'unsure') continue
    const horizon =
      isMeasured(report.composition) && isMeasured(report.composition.horizon) ? report.composition.horizon : null
    const right = horizons.count(
      label.horizon === undefined ? horizon === null : horizon !== null && Math.abs(horizon - label.horizon) < 0.06
    )
    if (loud && !right) console.log(`  ${label.file} divided at ${horizon}, wanted ${label.horizon}`)
  }
  title(`Open pictures, ${half === 'kept' ? 'the half kept back' : 'those to tune by'}: ${labels.length}`)
  row('first look where the labeller looked, one place', clear, '≥ 75 %')
  row('the same with those where any of several would do', looks, '')
  row('first look on the rim', rim, '0')
  row('faults raised that the labeller did not, a picture', (alarms / labels.length).toFixed(2), '≤ 0.5')
  row('the first thing is the labeller’s', firsts, '≥ 70 %')
  row('a horizon where there is one, none where there is none', horizons, '')
  console.log(`\nRaised: ${raised}.`)
}
