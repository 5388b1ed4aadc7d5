/**
 * Scenes of known truth: whether planted faults are found and said first, and nothing is said where nothing is wrong.
 */
import { isMeasured } from '../../core/measure/report'
import { judge, onRim, row, Share, Tally, title, type Half } from './judged'
import { FAULTS, scenes } from './scenes'

export async function judgeScenes(half: Half, loud: boolean): Promise<void> {
  const clean = new Share(),
    planted = new Share(),
    firstRight = new Share(),
    looks = new Share(),
    missed = new Tally(),
    raised = new Tally()
  let rim = 0,
    strays = 0
  const tell = (held: boolean, line: () => string): void => {
    if (loud && !held) console.log(`  ${line()}`)
  }
  for await (const { name, faults, raster, known } of scenes(half)) {
    const { report, readings } = judge(raster, known),
      said = readings.filter(r => r.verdict !== 'works'),
      told = (): string => `${name}: ${said.map(r => `${r.verdict} ${r.sentence}`).join(' | ')}`
    rim += onRim(report) ? 1 : 0
    if (!faults.includes('rival') && !faults.includes('merges')) {
      const focus = isMeasured(report.focus) ? report.focus : null
      tell(looks.count(focus?.rank === 1), () => `look elsewhere: ${name}`)
    }
    if (faults.length === 0) {
      clean.count(said.every(r => r.verdict !== 'fix'))
      tell(said.length === 0, told)
      for (const r of said) raised.add(r.id)
      strays += said.length
      continue
    }
    const ids: string[] = faults.map(f => FAULTS[f]),
      first = readings.find(r => r.first?.rank === 1)
    for (const id of ids) {
      const found = planted.count(said.some(r => r.id === id))
      if (!found) missed.add(id)
      tell(found, () => `missed ${id} in ${name}: ${readings.find(r => r.id === id)?.sentence ?? 'nothing said'}`)
    }
    const right = firstRight.count(first !== undefined && ids.includes(first.id))
    tell(right, () => `first in ${name}: ${first?.id} ${first?.sentence}`)
  }
  title(`Scenes of known truth, ${half === 'kept' ? 'the half kept back' : 'the half to tune by'}`)
  row('planted faults found', planted, '≥ 95 %')
  row('scenes without fault: no *fix*', clean, '≥ 95 %')
  row('scenes without fault: faults raised a scene', (strays / clean.of).toFixed(2), '≤ 0.5')
  row('the planted fault is said first', firstRight, '≥ 70 %')
  row('first look at what it is about', looks, '≥ 75 %')
  row('first look on the rim', rim, '0')
  console.log(`\nMissed: ${missed}. Raised without cause: ${raised}.`)
}
