import { readBody } from 'h3'
import { releaseInputSchema } from '../../../../shared/critique'
import { check, idParam, route } from '../../../http/route'
import { releaseCritique } from '../../../services/critiques'

export default route('instructor', async ({ event, account }) => {
  const { note } = check(releaseInputSchema, await readBody(event).catch(() => null) ?? {})
  await releaseCritique(account, idParam(event), new Date(), note)
  return {}
})
