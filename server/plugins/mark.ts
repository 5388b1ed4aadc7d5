import { basePath } from '../settings'

/** The page's own mark, wherever the application lies on its host; in the page itself, or a browser asks the host's root. */
export default defineNitroPlugin(nitro => {
  nitro.hooks.hook('render:html', html => {
    html.head.push(`<link rel="icon" type="image/svg+xml" href="${basePath()}/mark.svg">`)
  })
})
