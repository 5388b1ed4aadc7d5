/** Brings the component library's own foundations; each component comes with the page that shows it. */
export { createVuetify } from 'vuetify'
