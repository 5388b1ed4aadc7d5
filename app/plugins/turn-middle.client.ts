import { nextTask } from '~/start/oneByOne'

/** The router is set up; what pages are built of is set up in a task of its own. */
export default defineNuxtPlugin({ name: 'turn-middle', enforce: 'pre', setup: nextTask })
