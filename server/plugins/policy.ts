import { setResponseHeaders } from 'h3'
import { everyAnswer, policyOf } from '../http/policy'
import { settings } from '../settings'

/** The headers of every answer, files of the page among them. */
export default defineNitroPlugin(nitro => {
  nitro.hooks.hook('request', event => {
    setResponseHeaders(event, everyAnswer(settings().CRITICA_SECURE_COOKIE))
  })
  nitro.hooks.hook('render:response', response => {
    delete response.headers?.['x-powered-by']
    if (response.headers && typeof response.body === 'string') {
      response.headers['content-security-policy'] = policyOf(response.body)
    }
  })
})
