import { basePath } from '../settings'

/** The page's own mark, wherever the application lies; in the page itself, or a browser asks its host's root. */
export default defineNitroPlugin(nitro => {
  nitro.hooks.hook('render:html', html => {
    html.head.push(`<link rel="icon" type="image/svg+xml" href="${basePath()}/mark.svg">`)
  })
})
