import { nextTask } from '~/start/inTurn'

/** The application has been evaluated; setting it up is a task of its own. */
export default defineNuxtPlugin({ name: 'turn', enforce: 'pre', setup: nextTask })
