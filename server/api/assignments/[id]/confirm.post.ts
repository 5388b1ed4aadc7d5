import { confirmInputSchema } from '../../../../shared/exercises/assignment'
import { readJson } from '../../../http/body'
import { check } from '../../../http/check'
import { idParam, route } from '../../../http/route'
import { answerHandIn } from '../../../services/exercises/setting'

/** What came back is accepted, also against its checks, or asked for again. */
export default route('instructor', async ({ event, account }) => {
  const input = check(confirmInputSchema, (await readJson(event)) ?? {})
  await answerHandIn(account, idParam(event), { ...input, now: new Date() })
  return {}
})
