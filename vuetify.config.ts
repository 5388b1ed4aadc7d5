import { defineVuetifyConfiguration } from 'vuetify-nuxt-module/custom-configuration'
import { themes, defaults } from './app/theme/vuetify'

export default defineVuetifyConfiguration({
  theme: { defaultTheme: 'paper', themes },
  icons: { defaultSet: 'mdi-svg' },
  defaults
})
