import type { H3Event } from 'h3'
import { aboutOf, requests, serveMetrics, stopMetrics } from '../services/running/metrics'
import { settings } from '../settings'

/** Requests are timed, and told on a loopback port, where one is set. */
export default defineNitroPlugin(nitro => {
  const port = settings().CRITICA_METRICS_PORT
  if (!port) return
  const begun = new WeakMap<H3Event, number>()
  serveMetrics(port)
  nitro.hooks.hook('request', event => void begun.set(event, performance.now()))
  nitro.hooks.hook('afterResponse', event => {
    const from = begun.get(event)
    if (from === undefined) return
    const labels = { about: aboutOf(event.path), method: event.method, status: String(event.node.res.statusCode) }
    requests.observe(labels, (performance.now() - from) / 1000)
  })
  nitro.hooks.hook('close', stopMetrics)
})
