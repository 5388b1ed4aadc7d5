/** In a thread of its own, so that what keeps the sender busy does not count: asks a small question again and again. */
import { parentPort, workerData } from 'node:worker_threads'

const waits = []
let going = true
parentPort.once('message', () => {
  going = false
})
while (going) {
  const from = performance.now()
  await (await fetch(workerData)).text()
  waits.push({ from: performance.timeOrigin + from, ms: performance.now() - from })
  await new Promise(resolve => setTimeout(resolve, 5))
}
parentPort.postMessage(waits)
