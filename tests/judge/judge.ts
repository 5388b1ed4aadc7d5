/**
 * `npm run judge`: how far what is said agrees with what is there. Scenes of known truth, open pictures with labels written
 * before, and displays with one odd thing. `npm run judge -- scenes`, `-- open`, `-- odd`: only those; `-- open tune`: the
 * half to tune by; `-- open all`: both; `-- … loud`: each miss by name.
 */
import { readFileSync } from 'node:fs'
import { basename, join } from 'node:path'
import { nothingKnown, type PieceKnown } from '../../core/critique/piece/known'
import { measurePiece } from '../../core/critique/piece/measure'
import { asShown } from '../../core/critique/first'
import { DEFAULT_STANDARDS } from '../../core/critique/standards'
import type { PieceReading } from '../../core/critique/stations/piece'
import { readingsOfPiece } from '../../core/critique/stations/readings'
import { isMeasured, type Report } from '../../core/measure/report'
import { seededRandom } from '../../core/numeric/random'
import { planesOf } from '../../core/picture/planes'
import type { Raster } from '../../core/picture/raster'
import { GROUNDS, ODD_KINDS, popOut } from '../../core/testing/popout'
import { decodePicture, READABLE } from '../../server/work/decode'
import { LABELS } from './labels'
import { openPictures, type Label } from './open'
import { FAULTS, scenes } from './scenes'

const asked = process.argv.slice(2),
  wanted = (part: string): boolean => !asked.some(a => ['scenes', 'open', 'odd'].includes(a)) || asked.includes(part),
  loud = asked.includes('loud')
const percent = (n: number, of: number): string => `${of === 0 ? '–' : Math.round((100 * n) / of)} % (${n} of ${of})`
const row = (what: string, figure: string, target = ''): void => console.log(`| ${what} | ${figure} | ${target} |`)

interface Judged {
  readonly report: Report
  readonly readings: readonly PieceReading[]
}

function judge(raster: Raster, known: PieceKnown, format = 'png'): Judged {
  const pixels = { raster, planes: planesOf(raster) },
    source = { format, width: raster.width, height: raster.height }
  const measures = measurePiece({ pixels, source, known })
  return { report: measures.report, readings: asShown(readingsOfPiece(measures, known, DEFAULT_STANDARDS)) }
}

const RIM = 0.03

/** Whether the first look is at the rim of the picture. */
function onRim({ focus }: Report): boolean {
  if (!isMeasured(focus) || !isMeasured(focus.peaks)) return false
  const { x, y } = focus.peaks[0]!
  return Math.min(x, y, 1 - x, 1 - y) < RIM
}

async function judgeScenes(): Promise<void> {
  let clean = 0,
    cleanFixed = 0,
    planted = 0,
    found = 0,
    strays = 0,
    looks = 0,
    inside = 0,
    rim = 0,
    faulted = 0,
    firstRight = 0
  const missed = new Map<string, number>(),
    raised = new Map<string, number>()
  for await (const { name, faults, raster, known } of scenes()) {
    const { report, readings } = judge(raster, known),
      ids = faults.map(f => FAULTS[f]),
      faultsSaid = readings.filter(r => r.verdict !== 'works')
    rim += onRim(report) ? 1 : 0
    if (!faults.includes('rival') && !faults.includes('merges')) {
      looks++
      const focus = isMeasured(report.focus) ? report.focus : null
      inside += focus?.rank === 1 ? 1 : 0
      if (loud && focus?.rank !== 1) console.log(`  look elsewhere: ${name}`)
    }
    if (faults.length === 0) {
      clean++
      const fixes = readings.filter(r => r.verdict === 'fix')
      cleanFixed += fixes.length > 0 ? 1 : 0
      if (loud && faultsSaid.length > 0)
        console.log(`  ${name}: ${faultsSaid.map(r => `${r.verdict} ${r.sentence}`).join(' | ')}`)
      for (const r of faultsSaid) raised.set(r.id, (raised.get(r.id) ?? 0) + 1)
      strays += faultsSaid.length
    } else {
      faulted++
      for (const id of ids) {
        planted++
        const said = faultsSaid.some(r => r.id === id)
        found += said ? 1 : 0
        if (!said) missed.set(id, (missed.get(id) ?? 0) + 1)
        if (loud && !said)
          console.log(`  missed ${id} in ${name}: ${readings.find(r => r.id === id)?.sentence ?? 'nothing said'}`)
      }
      const first = readings.find(r => r.first?.rank === 1)
      firstRight += first && ids.some(id => id === first.id) ? 1 : 0
      if (loud && !(first && ids.some(id => id === first.id)))
        console.log(`  first in ${name}: ${first?.id} ${first?.sentence}`)
    }
  }
  console.log('\n### Scenes of known truth\n\n| | measured | wanted |\n|---|---|---|')
  row('planted faults found', percent(found, planted), '≥ 95 %')
  row('scenes without fault: no *fix*', percent(clean - cleanFixed, clean), '≥ 95 %')
  row('scenes without fault: faults raised a scene', (strays / clean).toFixed(2), '≤ 0.5')
  row('the planted fault is said first', percent(firstRight, faulted), '≥ 70 %')
  row('first look at the boat', percent(inside, looks), '≥ 75 %')
  row('first look on the rim', String(rim), '0')
  console.log(
    `\nMissed: ${[...missed].map(([id, n]) => `${id} ${n}`).join(', ') || 'none'}. Raised without cause: ${[...raised].map(([id, n]) => `${id} ${n}`).join(', ') || 'none'}.`
  )
}

const holds = ([x, y, w, h]: Label['look'][number], at: { x: number; y: number }): boolean =>
  at.x >= x && at.x <= x + w && at.y >= y && at.y <= y + h

async function judgeOpen(): Promise<void> {
  const files = openPictures(join('.cache', 'open-pictures')),
    both = asked.includes('all'),
    kept = asked.includes('tune') ? 0 : 1
  let looks = 0,
    inside = 0,
    rim = 0,
    firsts = 0,
    agreed = 0,
    alarms = 0,
    pictures = 0,
    horizons = 0,
    horizonRight = 0
  const raised = new Map<string, number>()
  for (const [i, label] of LABELS.entries()) {
    if (!both && i % 2 !== kept) continue
    const file = files.find(f => basename(f).startsWith(label.file) && /\.(jpe?g|png|webp)$/.test(f))
    if (!file) throw new Error(`no open picture begins with ${label.file}`)
    const outcome = await decodePicture(readFileSync(file), READABLE)
    if (outcome.kind === 'refused') throw new Error(`${label.file}: ${outcome.message}`)
    const { report, readings } = judge(outcome.raster, nothingKnown('painter'), outcome.source.format)
    pictures++
    rim += onRim(report) ? 1 : 0
    const peak = isMeasured(report.focus) && isMeasured(report.focus.peaks) ? report.focus.peaks[0]! : null
    if (label.look.length > 0 && peak) {
      looks++
      const right = label.look.some(box => holds(box, peak))
      inside += right ? 1 : 0
      if (loud && !right)
        console.log(
          `  ${label.file} looks at ${peak.x}, ${peak.y}: ${readings.find(r => r.id === 'focus.path')?.sentence}`
        )
    }
    const said = readings.filter(r => r.verdict !== 'works'),
      stray = said.filter(r => !label.first.includes(r.id)),
      first = readings.find(r => r.first?.rank === 1)
    alarms += stray.length
    for (const r of stray) raised.set(r.id, (raised.get(r.id) ?? 0) + 1)
    firsts++
    const same = label.first.length === 0 ? !first : Boolean(first && label.first.includes(first.id))
    agreed += same ? 1 : 0
    if (loud && (!same || stray.length > 0))
      console.log(
        `  ${label.file} wanted ${label.first.join(' or ') || 'nothing'}, said: ${said.map(r => `${r.first ? `${r.first.rank}. ` : ''}${r.verdict} ${r.sentence}`).join(' | ')}`
      )
    const horizon =
      isMeasured(report.composition) && isMeasured(report.composition.horizon) ? report.composition.horizon : null
    horizons++
    const horizonSame =
      label.horizon === undefined ? horizon === null : horizon !== null && Math.abs(horizon - label.horizon) < 0.06
    horizonRight += horizonSame ? 1 : 0
    if (loud && !horizonSame) console.log(`  ${label.file} divided at ${horizon}, wanted ${label.horizon}`)
  }
  console.log(
    `\n### Open pictures, ${both ? 'both halves' : kept ? 'the half kept back' : 'the half to tune by'}: ${pictures}\n\n| | measured | wanted |\n|---|---|---|`
  )
  row('first look where the labeller looked', percent(inside, looks), '≥ 75 %')
  row('first look on the rim', String(rim), '0')
  row('faults raised that the labeller did not, a picture', (alarms / pictures).toFixed(2), '≤ 0.5')
  row('the first thing is the labeller’s', percent(agreed, firsts), '≥ 70 %')
  row('a horizon where there is one, none where there is none', percent(horizonRight, horizons))
  console.log(`\nRaised: ${[...raised].map(([id, n]) => `${id} ${n}`).join(', ') || 'none'}.`)
}

function judgeOdd(): void {
  console.log(
    '\n### Displays where one is odd, 6 to 30 items\n\n| odd in | hues | first look on it | cause named |\n|---|---|---|---|'
  )
  for (const kind of ODD_KINDS) {
    for (const hues of ['one', 'many'] as const) {
      if (kind === 'hue' && hues === 'many') continue
      let hit = 0,
        named = 0,
        all = 0
      for (const ground of GROUNDS) {
        const random = seededRandom(1 + kind.length * 1000 + ground.length * 7)
        for (let i = 0; i < 12; i++, all++) {
          const { raster, x, y, radius } = popOut(kind, random, { ground, hues, items: 6 + Math.floor(25 * random()) }),
            { focus } = judge(raster, nothingKnown('painter')).report
          const first = isMeasured(focus) && isMeasured(focus.peaks) ? focus.peaks[0]! : null
          if (!first || Math.hypot(first.x - x, ((first.y - y) * raster.height) / raster.width) > radius) continue
          hit++
          const [cause] = Object.entries(first.causes).sort((p, q) => q[1] - p[1])[0]!
          named += cause === (kind === 'size' ? 'detail' : kind) ? 1 : 0
        }
      }
      console.log(`| ${kind} | ${hues} | ${percent(hit, all)} | ${percent(named, all)} |`)
    }
  }
}

if (wanted('scenes')) await judgeScenes()
if (wanted('open')) await judgeOpen()
if (wanted('odd')) judgeOdd()
