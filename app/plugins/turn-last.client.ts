import { nextTask } from '~/start/oneByOne'

/** The application has been set up; mounting it is a task of its own. */
export default defineNuxtPlugin({ name: 'turn-last', enforce: 'post', setup: nextTask })
