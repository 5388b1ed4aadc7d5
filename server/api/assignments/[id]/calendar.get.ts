import { setResponseHeader } from 'h3'
import { idParam, route } from '../../../http/route'
import { calendarFile } from '../../../services/exercises/reminding'

/** The day it is due, for a calendar. */
export default route('account', async ({ event, account }) => {
  const text = await calendarFile(account, idParam(event))
  setResponseHeader(event, 'content-type', 'text/calendar; charset=utf-8')
  setResponseHeader(event, 'content-disposition', 'attachment; filename="exercise.ics"')
  return text
})
