import { getRouterParam } from 'h3'
import { entryWrittenSchema } from '../../../../shared/call'
import { AppError } from '../../../../shared/errors'
import { check } from '../../../http/check'
import { PICTURE_FORM, PICTURE_FORM_MS, withForm } from '../../../http/form'
import { route } from '../../../http/route'
import { clientAddress } from '../../../http/sender'
import { handInToCall } from '../../../services/calls/entering'

/** A guest's piece. */
export default route(
  'anybody',
  ({ event }) =>
    withForm(event, PICTURE_FORM, async ({ words, files }) => {
      const picture = files.get('picture')
      if (!picture) throw new AppError('invalid', 'The picture is missing.')
      return handInToCall(getRouterParam(event, 'token') ?? '', {
        written: check(entryWrittenSchema, words),
        file: picture,
        address: clientAddress(event)
      })
    }),
  { limitMs: PICTURE_FORM_MS }
)
