import { nextTask } from '~/start/oneByOne'

/** The application has been evaluated; its router is set up in a task of its own. */
export default defineNuxtPlugin({ name: 'turn-first', order: -49, setup: nextTask })
