/** A table sent as a file for a spreadsheet. */
import { setResponseHeader, type H3Event } from 'h3'
import { exportFileName } from '../services/exports/exports'

/** @param ending of the file's name, behind the class's. */
export function sendTable(
  event: H3Event,
  { text, className }: { readonly text: string; readonly className: string },
  ending: string
): string {
  setResponseHeader(event, 'content-type', 'text/csv; charset=utf-8')
  setResponseHeader(event, 'content-disposition', `attachment; filename="${exportFileName(className, ending)}"`)
  return text
}
