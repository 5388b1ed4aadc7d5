import { nextTask } from '~/start/inTurn'

/** The router is set up; what pages are built of is set up in a task of its own. */
export default defineNuxtPlugin({ name: 'turn-middle', enforce: 'pre', setup: nextTask })
