/**
 * What a machine that watches asks for, in Prometheus' text format: requests, the measuring queue, working processes,
 * memory, the event loop's delay. Nothing in it names a person or a piece.
 */
import { createServer, type Server } from 'node:http'
import { collectDefaultMetrics, Gauge, Histogram, Registry } from 'prom-client'
import { countQueued } from '../../db/pieces/measurements'
import { db } from '../../db/pool'
import { workersWaiting } from '../../work/workers'
import { logError } from '../../log'

const registry = new Registry()

export const requests = new Histogram({
  name: 'critica_request_seconds',
  help: 'How long requests took, by what they were about',
  labelNames: ['about', 'method', 'status'] as const,
  buckets: [0.005, 0.02, 0.05, 0.1, 0.3, 1, 3, 10],
  registers: [registry]
})
export const measuring = new Histogram({
  name: 'critica_measuring_seconds',
  help: 'How long a piece took to measure, from its turn on',
  buckets: [0.5, 1, 2, 4, 8, 16, 45],
  registers: [registry]
})
new Gauge({
  name: 'critica_measuring_queue',
  help: 'Pieces that wait to be measured',
  registers: [registry],
  async collect() {
    // Away, the database says nothing: the last figure would be a lie.
    this.set(
      await countQueued(db()).then(
        ({ count }) => count,
        () => Number.NaN
      )
    )
  }
})
new Gauge({
  name: 'critica_measuring_queue_age_seconds',
  help: 'How long the first of them has waited',
  registers: [registry],
  async collect() {
    this.set(
      await countQueued(db()).then(
        ({ ageSeconds }) => ageSeconds,
        () => Number.NaN
      )
    )
  }
})
new Gauge({
  name: 'critica_tasks_waiting',
  help: 'Tasks that wait for a working process',
  labelNames: ['lane'] as const,
  registers: [registry],
  collect() {
    for (const [lane, waiting] of Object.entries(workersWaiting())) this.set({ lane }, waiting)
  }
})

let server: Server | null = null

/** @param port of the loopback address. */
export function serveMetrics(port: number): void {
  collectDefaultMetrics({ register: registry, prefix: 'critica_' })
  server = createServer((request, response) => {
    if (request.url !== '/metrics') {
      response.writeHead(404).end()
      return
    }
    registry.metrics().then(
      text => response.writeHead(200, { 'content-type': registry.contentType }).end(text),
      (error: Error) => {
        logError('metrics could not be told', error)
        response.writeHead(500).end()
      }
    )
  }).listen(port, '127.0.0.1')
  server.on('error', error => logError('metrics are not served', error))
}

export function stopMetrics(): void {
  server?.close()
  server = null
}
