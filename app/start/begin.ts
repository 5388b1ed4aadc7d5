/**
 * The page's first module: the libraries the application stands on, then the application, of which little is then left to
 * evaluate. How the libraries are cut into chunks is said in nuxt.config.
 */
import { inTurn } from './inTurn'

performance.mark('begun')
await inTurn([() => import('./vue'), () => import('./contracts'), () => import('./vuetify')])
await import('#app/entry')
