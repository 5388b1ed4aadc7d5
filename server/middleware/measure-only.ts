import { defineEventHandler, setResponseStatus } from 'h3'
import { settings } from '../settings'

const WATCHED = ['/healthz', '/readyz']

/** A node that only measures serves nobody. */
export default defineEventHandler(event => {
  if (!settings().CRITICA_MEASURE_ONLY || WATCHED.includes(event.path)) return undefined
  setResponseStatus(event, 404)
  return 'This machine only measures; Critica is served by another.'
})
