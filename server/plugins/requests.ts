import { setResponseHeader, type H3Event } from 'h3'
import { aboutOf, requestOf } from '../http/about'
import { logInfo } from '../log'
import { requests, serveMetrics, stopMetrics } from '../services/running/metrics'
import { settings } from '../settings'

/**
 * Every request has an id, in its answer and in every line that is logged of it; requests are timed, logged and
 * counted.
 */
export default defineNitroPlugin(nitro => {
  const begun = new WeakMap<H3Event, number>(),
    port = settings().CRITICA_METRICS_PORT
  nitro.hooks.hook('request', event => {
    begun.set(event, performance.now())
    setResponseHeader(event, 'x-request-id', requestOf(event))
  })
  nitro.hooks.hook('afterResponse', event => {
    const from = begun.get(event)
    if (from === undefined) return
    const ms = performance.now() - from,
      of = { about: aboutOf(event.path), method: event.method, status: String(event.node.res.statusCode) }
    requests.observe(of, ms / 1000)
    logInfo('answered', { request: requestOf(event), ...of, ms: Math.round(ms) })
  })
  if (!port) return
  serveMetrics(port)
  nitro.hooks.hook('close', stopMetrics)
})
