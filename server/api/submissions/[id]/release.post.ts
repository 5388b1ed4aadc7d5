import { releaseInputSchema } from '../../../../shared/critique'
import { readJson } from '../../../http/body'
import { check } from '../../../http/check'
import { idParam, route } from '../../../http/route'
import { releaseCritique } from '../../../services/critique/critiques'

export default route('instructor', async ({ event, account }) => {
  const { note } = check(releaseInputSchema, (await readJson(event)) ?? {})
  await releaseCritique(account, idParam(event), { now: new Date(), note })
  return {}
})
