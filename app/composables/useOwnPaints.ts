/** A person's own paints, kept on this device until they are kept in the workshop. */
import { z } from 'zod'
import { readPaints, type Paint } from '~~/core/exercise/paints'
import { keptWords } from '~/utils/kept'

const paintsSchema = z.array(z.object({ name: z.string(), hex: z.string().regex(/^#[0-9a-f]{6}$/) }))

export function useOwnPaints() {
  const kept = keptWords(useSessionStore().person.id, 'paints', paintsSchema)
  const paints = shallowRef<readonly Paint[]>(kept.read() ?? []),
    problem = ref('')
  async function take(file: File | null): Promise<void> {
    if (!file) return
    problem.value = ''
    try {
      paints.value = readPaints(await file.text())
      kept.keep([...paints.value])
    } catch (error) {
      problem.value = error instanceof RangeError ? error.message : 'This list cannot be read.'
    }
  }
  return { paints, problem, take }
}
