import { landingInputSchema } from '../../../../../../../shared/pieces/versions'
import { body } from '../../../../../../http/body'
import { idParam, route } from '../../../../../../http/route'
import { sayLanding } from '../../../../../../services/versions/landing'

export default route('staff', async ({ event, account }) => {
  const { landing } = await body(event, landingInputSchema),
    pair = { newId: idParam(event), oldId: idParam(event, 'old') }
  await sayLanding(account, pair, { correctionId: idParam(event, 'correction'), word: landing })
  return {}
})
