/** Brings the framework. */
export { createApp } from 'vue'
export { createRouter } from 'vue-router'
