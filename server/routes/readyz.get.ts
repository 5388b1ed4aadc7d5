import { defineEventHandler, setResponseStatus } from 'h3'
import { isReady, readiness } from '../services/running/readiness'

/** 200 where it can do its work now, 503 where it cannot; what is missing either way. */
export default defineEventHandler(async event => {
  const found = await readiness()
  setResponseStatus(event, isReady(found) ? 200 : 503)
  return found
})
