/**
 * The plain parts of the bench's state: what can be taken back, what is being drawn, sliders and standards as their
 * forms show them.
 */
import { createPinia, setActivePinia } from 'pinia'
import { describe, expect, it } from 'vitest'
import { DEFAULT_STANDARDS } from '../../core/critique/standards'
import { standardsSchema } from '../../shared/standards'
import { trialSchema } from '../../shared/trial'
import { SCHOOLS, shownStandard, STANDARD_FIELDS, storedStandard } from '../utils/standardFields'
import { NO_TRIAL, settingOf, TRIAL_SLIDERS, withOperation, withSetting } from '../utils/trialSliders'
import { createHistory } from '../edits/history'
import { usePencilStore } from './pencil'

describe('history', () => {
  const counted = () => {
    const log: string[] = []
    let works = true
    const history = createHistory(async change => (works ? (await change(), true) : null))
    const step = (name: string) => ({
      redo: async () => {
        log.push(`+${name}`)
      },
      undo: async () => {
        log.push(`-${name}`)
      }
    })
    return {
      log,
      history,
      step,
      break: () => {
        works = false
      }
    }
  }

  it('takes steps back and does them again in their order, however quickly it is asked', async () => {
    const { log, history, step } = counted()
    for (const name of 'abc') history.done(step(name))
    await Promise.all([history.undo(), history.undo(), history.redo(), history.undo(), history.undo()])
    expect(log).toEqual(['-c', '-b', '+b', '-b', '-a'])
    expect([history.canUndo.value, history.canRedo.value]).toEqual([false, true])
    history.done(step('d')) // something new: what was undone cannot come back
    expect([history.canUndo.value, history.canRedo.value]).toEqual([true, false])
  })

  it('moves nothing when the change could not be kept', async () => {
    const { log, history, step, break: fail } = counted()
    history.done(step('a'))
    fail()
    await history.undo()
    expect([log, history.canUndo.value, history.canRedo.value]).toEqual([[], true, false])
  })
})

describe('drawing', () => {
  it('gives what was drawn to whoever waits, and nothing to one who was interrupted', async () => {
    setActivePinia(createPinia())
    const pencil = usePencilStore(),
      first = pencil.drawArea('lasso')
    expect(pencil.tool).toBe('lasso')
    const second = pencil.pickPoint()
    expect([await first, pencil.tool]).toEqual([null, 'point'])
    pencil.finish({ x: 0.2, y: 0.3 })
    expect([await second, pencil.tool, pencil.sketch]).toEqual([{ x: 0.2, y: 0.3 }, null, null])
    const third = pencil.drawArea('rectangle')
    pencil.drop()
    expect(await third).toBeNull()
  })
})

describe('forms', () => {
  it('show every standard and store it as it was: nothing drifts through the percent', () => {
    const names = new Set([...STANDARD_FIELDS.map(f => f.name), ...SCHOOLS.map(s => s.name)])
    expect([...names].sort()).toEqual(Object.keys(DEFAULT_STANDARDS).sort())
    const again = STANDARD_FIELDS.reduce(
      (all, f) => ({ ...all, ...storedStandard(f, all, shownStandard(f, all)) }),
      DEFAULT_STANDARDS
    )
    expect(standardsSchema.parse(again)).toEqual(DEFAULT_STANDARDS)
    const black = STANDARD_FIELDS.find(f => f.name === 'nearBlack')!
    expect([shownStandard(black, DEFAULT_STANDARDS), storedStandard(black, DEFAULT_STANDARDS, 3.5)]).toEqual([
      2,
      { nearBlack: 0.035 }
    ])
  })

  it("keep a trial's operations in their order, and drop one that is back at neutral", () => {
    const [value, , , chroma] = TRIAL_SLIDERS as unknown as [
      (typeof TRIAL_SLIDERS)[number],
      unknown,
      unknown,
      (typeof TRIAL_SLIDERS)[number]
    ]
    const muted = withSetting(withSetting(NO_TRIAL, chroma, 0.5), value, -12)
    expect(muted.operations).toEqual([
      { kind: 'value', by: -12 },
      { kind: 'chroma', times: 0.5 }
    ])
    expect(withOperation(muted, 'light', { kind: 'light', ratio: [1, 1, 1] }).operations[0]).toMatchObject({
      kind: 'light'
    })
    expect(withSetting(muted, chroma, 1).operations).toEqual([{ kind: 'value', by: -12 }])
    for (const s of TRIAL_SLIDERS)
      for (const end of [s.low, s.high])
        expect(settingOf(trialSchema.parse(withSetting(NO_TRIAL, s, end)) as typeof NO_TRIAL, s)).toBe(end)
  })
})
