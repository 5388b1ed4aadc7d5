/** An export being made on the server: begun, watched, called off, fetched when it is there. */
import { useIntervalFn } from '@vueuse/core'
import { z } from 'zod'
import { exportStateSchema, type ExportState, type MadeExport } from '~~/shared/pieces/export'

const LOOK_MS = 250

export function useExportJob(submissionId: number) {
  const job = shallowRef<ExportState | null>(null),
    problem = ref('')
  const path = (rest = ''): string => `/submissions/${submissionId}/exports${rest}`
  const { pause, resume } = useIntervalFn(() => void look(), LOOK_MS, { immediate: false })

  async function look(): Promise<void> {
    const current = job.value
    if (!current) return pause()
    try {
      const now = await api(exportStateSchema, path(`/${current.id}`))
      if (job.value?.id !== now.id) return
      job.value = now
      if (now.state === 'making') return
      pause()
      job.value = null
      if (now.state === 'done') fetchFile(now)
      else problem.value = 'It could not be made. Try again; the piece itself is untouched.'
    } catch (error) {
      pause()
      job.value = null
      problem.value = messageOf(error)
    }
  }
  /** By a link of the page's own: the browser saves it under the name the server gives. */
  function fetchFile({ id }: ExportState): void {
    const link = document.createElement('a')
    link.href = apiAt(path(`/${id}/file`))
    link.download = ''
    link.click()
  }
  async function begin(name: MadeExport): Promise<void> {
    problem.value = ''
    try {
      job.value = await api(exportStateSchema, path(), { method: 'POST', body: { name } })
      resume()
    } catch (error) {
      problem.value = messageOf(error)
    }
  }
  async function callOff(): Promise<void> {
    const current = job.value
    pause()
    job.value = null
    if (current)
      await api(z.object({}), path(`/${current.id}`), { method: 'DELETE' }).catch(error => {
        problem.value = messageOf(error)
      })
  }
  return { job, problem, begin, callOff }
}
