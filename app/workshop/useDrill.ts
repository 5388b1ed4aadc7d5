/** One run of a drill: the questions as they come, the answers, and what they come to. */
import { drillOf, type DrillName } from '~~/core/drill/drills'
import { isRight, type Question } from '~~/core/drill/question'
import { nextDifference, type Answered } from '~~/core/drill/staircase'
import { seededRandom } from '~~/core/numeric/random'
import type { WheelName } from '~~/core/wheel/steps'
import { drillRunSchema, type Conditions, type DrillRun } from '~~/shared/workshop'

export interface Chosen {
  readonly drill: DrillName
  readonly setting: string
  readonly wheel: WheelName
}

export function useDrill() {
  const chosen = shallowRef<Chosen | null>(null),
    question = shallowRef<Question | null>(null),
    answers = shallowRef<readonly Answered[]>([]),
    /** Of the last one: whether it was right. */
    last = ref<boolean | null>(null),
    outcome = shallowRef<DrillRun | null>(null)
  let random = seededRandom(Date.now())
  const { problem, busy, act } = useAct()
  const drill = computed(() => chosen.value && drillOf(chosen.value.drill))

  function ask() {
    const { setting, wheel } = chosen.value!,
      { asked, make } = drill.value!
    question.value = make(random, { difference: nextDifference(asked, answers.value), setting, wheel })
  }
  function begin(of: Chosen) {
    random = seededRandom(Date.now())
    chosen.value = of
    answers.value = []
    last.value = null
    outcome.value = null
    ask()
  }
  function leave() {
    chosen.value = null
    question.value = null
  }
  /** The run's end is kept at once; a server that does not answer is asked again by `keep`. */
  async function answer(given: readonly number[], conditions: Conditions): Promise<void> {
    const right = isRight(question.value!, given)
    last.value = right
    answers.value = [...answers.value, { difference: question.value!.difference, right }]
    if (answers.value.length < drill.value!.questions) return ask()
    question.value = null
    await keep(conditions)
  }
  const keep = (conditions: Conditions) =>
    act(async () => {
      const body = { ...chosen.value!, answers: answers.value, conditions }
      outcome.value = await api(drillRunSchema, '/workshop/drills', { method: 'POST', body })
    })
  return { chosen, drill, question, answers, last, outcome, problem, busy, begin, leave, answer, keep }
}
