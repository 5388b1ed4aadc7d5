/**
 * A correction tried on the picture: shown while a slider moves, read before and after, kept with the correction once
 * the hand rests.
 */
import { useDebounceFn } from '@vueuse/core'
import type { EffectNumbers } from '~~/core/trial/effect'
import { showsSomething, type Trial } from '~~/core/trial/trial'
import type { Correction } from '~~/shared/critique'
import { NO_TRIAL } from '~/utils/trialSliders'
import { useBenchPicture } from './usePicture'

const REST_MS = 450

export function useTrial(correction: () => Correction) {
  const bench = useBenchStore(),
    sight = useSightStore(),
    edits = useEditsStore()
  const { ask } = useBenchPicture()
  const kept = (): Trial => correction().trial ?? NO_TRIAL
  const trial = shallowRef<Trial>(kept())
  const before = shallowRef<EffectNumbers | null>(null),
    after = shallowRef<EffectNumbers | null>(null)

  function show(): void {
    sight.trials = showsSomething(trial.value) ? [{ trial: trial.value, area: correction().area }] : []
    if (sight.trials.length && sight.lens.name !== 'plain') sight.lens = { name: 'plain' }
  }
  async function numbers(of: Trial): Promise<EffectNumbers | null> {
    const subject = correction(),
      tried = showsSomething(of) ? [{ trial: of, area: subject.area }] : []
    const known = { ...bench.known, wheel: bench.report?.wheel ?? bench.known.wheel },
      found = await ask(w => w.effect(tried, [subject], known))
    return found?.[0] ?? null
  }
  /** The picture is asked for first: it is looked at while the readings are still being taken. */
  async function read(): Promise<void> {
    await nextTick()
    after.value = showsSomething(trial.value) ? await numbers(trial.value) : null
    before.value ??= await numbers(NO_TRIAL)
  }
  const settle = useDebounceFn(async () => {
    sight.sliding = false
    const now = trial.value
    await read()
    if (bench.released || JSON.stringify(now) === JSON.stringify(kept())) return
    await edits.changeCorrection(correction().id, { ...correction(), trial: showsSomething(now) ? now : null })
  }, REST_MS)
  function change(next: Trial): void {
    trial.value = next
    sight.sliding = true
    show()
    void settle()
  }
  // Taken back, done again, or another window's: the sliders follow, unless the hand is on one.
  watch([() => correction().trial, () => edits.theirs], () => {
    if (sight.sliding || JSON.stringify(kept()) === JSON.stringify(trial.value)) return
    trial.value = kept()
    show()
    void read()
  })
  onMounted(() => {
    show()
    void read()
  })
  onBeforeUnmount(() => {
    sight.trials = []
    sight.sliding = false
  })
  return { trial, before, after, change }
}
