/** In a thread of its own, so that what keeps the sender busy does not count: asks a small question again and again. */
import { parentPort, workerData } from 'node:worker_threads'

let longest = 0, going = true
parentPort.once('message', () => { going = false })
while (going) {
  const from = performance.now()
  await (await fetch(workerData)).text()
  longest = Math.max(longest, performance.now() - from)
}
parentPort.postMessage(longest)
