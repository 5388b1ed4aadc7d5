/** A guest's piece for an open call: written, proved to be a person's browser's, sent. */
import type { Challenge } from 'altcha-lib'
import { z } from 'zod'
import type { PhotoSteps } from '~~/core/photo/steps'
import { entrySentSchema, entryWrittenSchema, openCallSchema, type EntrySent } from '~~/shared/call'
import type { Stage } from '~~/shared/pieces/submission'

const pageSchema = z.object({ call: openCallSchema, challenge: z.custom<Challenge>() })

/** Before it is sent the browser does a small task, a third of a second or so: nobody is asked anything. */
async function proofOf(challenge: Challenge): Promise<string> {
  const [{ solveChallenge }, { deriveKey }] = await Promise.all([
    import('altcha-lib'),
    import('altcha-lib/algorithms/web/pbkdf2')
  ])
  return JSON.stringify({ challenge, solution: await solveChallenge({ challenge, deriveKey }) })
}

/** @param token of the call's link. */
export function useCallEntry(token: string) {
  const path = `/call/${encodeURIComponent(token)}`
  const { data: page, problem: none, refresh } = useApiData(pageSchema, path)
  const file = ref<File | null>(null),
    focus = ref<{ x: number; y: number } | null>(null),
    steps = shallowRef<PhotoSteps | null>(null),
    laidFlat = shallowRef<Blob | null>(null),
    noFile = ref(false),
    sent = shallowRef<EntrySent | null>(null)
  const form = reactive({
    name: '',
    email: '',
    ofAge: true,
    guardianEmail: '',
    named: false,
    title: '',
    stage: 'finished' as Stage,
    medium: '',
    about: '',
    question: ''
  })
  const { wrong, check } = useCheckedForm(entryWrittenSchema, () => ({ ...form, proof: '' })),
    { problem, busy, act } = useAct()

  async function send(): Promise<void> {
    noFile.value = !file.value
    if (!check() || !file.value || !page.value) return
    await act(async () => {
      const body = new FormData()
      for (const [name, value] of Object.entries(form)) body.append(name, String(value))
      if (focus.value) {
        body.append('focusX', String(focus.value.x))
        body.append('focusY', String(focus.value.y))
      }
      if (steps.value) body.append('steps', JSON.stringify(steps.value))
      body.append('proof', await proofOf(page.value!.challenge))
      body.append('picture', file.value!)
      sent.value = await api(entrySentSchema, path, { method: 'POST', body })
    })
    // A task is taken once: for another piece there is another.
    await refresh()
  }
  function another(): void {
    sent.value = null
    file.value = null
    Object.assign(form, { title: '', medium: '', about: '', question: '' })
  }
  return {
    call: computed(() => page.value?.call ?? null),
    none,
    file,
    focus,
    steps,
    laidFlat,
    noFile,
    sent,
    form,
    wrong,
    problem,
    busy,
    send,
    another
  }
}
