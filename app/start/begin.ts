/**
 * The page's first module: the libraries the application stands on, the contracts nearly every page speaks, then the
 * application, of which little is then left to evaluate. How the libraries are cut into chunks is said in nuxt.config.
 */
import { oneByOne } from './oneByOne'

performance.mark('begun')
await oneByOne([
  () => import('./vue'),
  () => import('./contracts'),
  () => import('./vuetify'),
  () => import('~~/shared/report'),
  () => import('~~/shared/pieces/submission'),
  () => import('~~/shared/standards'),
  () => import('~~/shared/critique')
])
await import('#app/entry')
