/** Every route there is, and whose it is: what the access test walks. */

/**
 * Whose a route is. Of the class that its piece is in: its learner, its staff, its instructor; whoever leads a class, its owner
 * too; a person themselves, who leads a class of theirs, and the owner. Of the house: whoever teaches anywhere, its owner.
 * Otherwise any account, or anybody.
 */
export type Who =
  'anybody' | 'account' | 'learner' | 'staff' | 'instructor' | 'lead' | 'person' | 'instructors' | 'owner'
export interface Route {
  readonly method: string
  readonly path: string
  readonly who: Who
  readonly body?: unknown
}

const klass = { name: 'Evening class, harbour hall', budgetMinutes: 25, wheel: 'painter' }
export const correction = {
  station: 'values',
  area: null,
  readingId: null,
  reason: '',
  what: 'Too dark',
  todo: '',
  target: null
}
const sky = { name: 'sky', area: { kind: 'rectangle', x: 0, y: 0, w: 1, h: 0.3 } }
/** Every route, with ids of the demo: submission 1 is Ada's and waits; assignment 1 is Ada's. */
export const ROUTES: readonly Route[] = [
  { method: 'GET', path: '/session', who: 'anybody' },
  { method: 'POST', path: '/session', who: 'anybody' },
  { method: 'DELETE', path: '/session', who: 'account' },
  { method: 'PUT', path: '/account/password', who: 'account', body: { current: 'x', next: 'y' } },
  { method: 'GET', path: '/account/sessions', who: 'account' },
  { method: 'DELETE', path: '/account/sessions', who: 'account' },
  { method: 'DELETE', path: '/account/sessions/1', who: 'account' },
  { method: 'GET', path: '/classes', who: 'account' },
  { method: 'GET', path: '/classes/1/standards', who: 'staff' },
  { method: 'GET', path: '/classes/1/set-aside', who: 'staff' },
  { method: 'PUT', path: '/classes/1/standards', who: 'instructor', body: null },
  { method: 'PUT', path: '/classes/1/rubric', who: 'instructor', body: [{ key: 'a', title: 'A', station: null }] },
  { method: 'GET', path: '/submissions', who: 'account' },
  { method: 'GET', path: '/submissions/some?ids=1', who: 'account' },
  { method: 'GET', path: '/shelves', who: 'staff' },
  { method: 'POST', path: '/submissions', who: 'learner' },
  { method: 'GET', path: '/submissions/1', who: 'account' },
  { method: 'POST', path: '/submissions/1/measure', who: 'account' },
  { method: 'GET', path: '/submissions/1/critique', who: 'account' },
  { method: 'PUT', path: '/submissions/1/verdict', who: 'staff', body: { works: '', verdict: '', revision: 0 } },
  {
    method: 'PUT',
    path: '/submissions/1/assignment',
    who: 'staff',
    body: { exercise: 'opposites', dueOn: '2027-01-01' }
  },
  { method: 'DELETE', path: '/submissions/1/assignment', who: 'staff' },
  { method: 'POST', path: '/submissions/1/release', who: 'instructor' },
  { method: 'GET', path: '/submissions/1/picture/display', who: 'account' },
  { method: 'POST', path: '/submissions/1/corrections', who: 'staff', body: correction },
  { method: 'PUT', path: '/submissions/1/corrections/order', who: 'staff', body: { order: [1] } },
  { method: 'PUT', path: '/submissions/1/corrections/1', who: 'staff', body: { ...correction, over: correction } },
  { method: 'DELETE', path: '/submissions/1/corrections/1', who: 'staff' },
  { method: 'POST', path: '/submissions/1/areas', who: 'staff', body: sky },
  { method: 'PUT', path: '/submissions/1/areas/1', who: 'staff', body: { ...sky, over: sky } },
  { method: 'DELETE', path: '/submissions/1/areas/1', who: 'staff' },
  { method: 'PUT', path: '/submissions/1/score', who: 'staff', body: { score: null, over: null } },
  { method: 'POST', path: '/submissions/1/withdraw', who: 'instructor' },
  { method: 'POST', path: '/submissions/1/question', who: 'learner', body: { question: 'Which blue?' } },
  { method: 'PUT', path: '/submissions/1/answer', who: 'instructor', body: { answer: 'The cooler one.' } },
  { method: 'POST', path: '/submissions/1/exports', who: 'account', body: { name: 'sheet-a4.pdf' } },
  { method: 'GET', path: '/submissions/1/exports/1', who: 'account' },
  { method: 'DELETE', path: '/submissions/1/exports/1', who: 'account' },
  { method: 'GET', path: '/submissions/1/exports/1/file', who: 'account' },
  { method: 'POST', path: '/submissions/1/annotations', who: 'staff', body: { items: [] } },
  { method: 'GET', path: '/phrases', who: 'staff' },
  { method: 'PUT', path: '/phrases/1', who: 'staff', body: { words: 'x' } },
  { method: 'DELETE', path: '/phrases/1', who: 'staff' },
  { method: 'GET', path: '/outbox', who: 'account' },
  { method: 'GET', path: '/submissions/1/export/report.json', who: 'account' },
  { method: 'POST', path: '/submissions/1/time', who: 'staff', body: { seconds: 5 } },
  { method: 'PUT', path: '/submissions/1/notes', who: 'staff', body: { about: 'x' } },
  { method: 'GET', path: '/assignments', who: 'account' },
  { method: 'GET', path: '/assignments/1', who: 'account' },
  { method: 'POST', path: '/assignments/1/confirm', who: 'instructor' },
  { method: 'PUT', path: '/account/address', who: 'account', body: { email: 'a@b.example', password: 'x' } },
  { method: 'POST', path: '/account/second-step', who: 'instructors' },
  { method: 'PUT', path: '/account/second-step', who: 'instructors', body: { code: '1' } },
  { method: 'DELETE', path: '/account/second-step', who: 'account', body: { code: '1' } },
  { method: 'POST', path: '/classes', who: 'instructors', body: {} },
  { method: 'GET', path: '/classes/1', who: 'lead' },
  { method: 'PUT', path: '/classes/1', who: 'lead', body: klass },
  { method: 'PUT', path: '/classes/1/archive', who: 'lead' },
  { method: 'DELETE', path: '/classes/1/archive', who: 'lead' },
  { method: 'POST', path: '/classes/1/code', who: 'lead' },
  { method: 'DELETE', path: '/classes/1/code', who: 'lead' },
  { method: 'GET', path: '/classes/1/people', who: 'lead' },
  { method: 'POST', path: '/classes/1/people', who: 'lead', body: { text: ',' } },
  { method: 'POST', path: '/classes/1/people/preview', who: 'lead', body: { text: 'Ada' } },
  { method: 'GET', path: '/classes/1/people/table', who: 'lead' },
  { method: 'POST', path: '/classes/1/people/slips', who: 'lead' },
  { method: 'PUT', path: '/classes/1/people/2/role', who: 'lead', body: { role: 'learner' } },
  { method: 'PUT', path: '/classes/1/people/2/name', who: 'lead', body: { name: 'Ada' } },
  { method: 'DELETE', path: '/classes/1/people/9999', who: 'lead' },
  { method: 'POST', path: '/classes/1/people/2/mail', who: 'lead' },
  { method: 'POST', path: '/classes/1/people/2/link', who: 'lead' },
  { method: 'GET', path: '/people/2/record', who: 'person' },
  { method: 'GET', path: '/people/2/erasure', who: 'person' },
  { method: 'PUT', path: '/people/2/erasure', who: 'person', body: { wish: 'own' } },
  { method: 'DELETE', path: '/people/2/erasure', who: 'person' },
  { method: 'GET', path: '/house', who: 'owner' },
  { method: 'PUT', path: '/house', who: 'owner', body: { retentionMonths: null } },
  { method: 'GET', path: '/house/people', who: 'owner' },
  { method: 'POST', path: '/house/people', who: 'owner', body: {} },
  { method: 'PUT', path: '/house/people/2/role', who: 'owner', body: {} },
  { method: 'POST', path: '/house/people/2/link', who: 'owner' },
  { method: 'DELETE', path: '/house/people/2/sessions', who: 'owner' },
  { method: 'POST', path: '/house/demo', who: 'owner' },
  { method: 'DELETE', path: '/house/demo', who: 'owner' },
  { method: 'GET', path: '/house/audit', who: 'owner' },
  { method: 'GET', path: '/house/audit/table', who: 'owner' },
  { method: 'GET', path: '/links/1-x', who: 'anybody' },
  { method: 'POST', path: '/links/1-x/begin', who: 'anybody' },
  { method: 'POST', path: '/links/1-x/enter', who: 'anybody' },
  { method: 'POST', path: '/links/1-x/address', who: 'anybody' },
  { method: 'GET', path: '/join/AAAA', who: 'anybody' },
  { method: 'POST', path: '/join/AAAA', who: 'anybody' },
  { method: 'POST', path: '/join/AAAA/too', who: 'account' },
  { method: 'POST', path: '/forgotten', who: 'anybody' }
]
