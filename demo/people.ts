/** The harbour class's people. All invented; the password is for the demo only and is shown with it. */
import type { ClassRole } from '../shared/account'

export const DEMO_PASSWORD = 'harbour-lamp'
export const CLASS_NAME = 'Evening class, harbour hall'

export interface Person {
  readonly key: string
  readonly name: string
  readonly email: string
  readonly role: ClassRole
}

const person = (key: string, name: string, role: ClassRole): Person => ({
  key,
  name,
  email: `${key}@harbour.example`,
  role
})

export const INSTRUCTOR = person('tamsin', 'Tamsin Vane', 'instructor')
export const LEARNERS: readonly Person[] = [
  person('ada', 'Ada Quill', 'learner'),
  person('bram', 'Bram Osei', 'learner'),
  person('ines', 'Ines Marlow', 'learner'),
  person('joss', 'Joss Pender', 'learner'),
  person('mika', 'Mika Thorn', 'learner'),
  person('rosa', 'Rosa Field', 'learner')
]
