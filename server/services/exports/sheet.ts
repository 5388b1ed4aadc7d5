/** What the critique sheet says, from the critique as it may be read. */
import { format } from 'date-fns'
import { AppError } from '../../../shared/errors'
import type { Critique } from '../../../shared/critique'
import { STAGE_WORDS, type Submission } from '../../../shared/pieces/submission'
import { tagOf } from '../../../core/critique/stations/table'
import { findingsShown } from '../../../core/critique/findings'
import { keyReadings } from '../../../core/critique/key-readings'
import { scoreRubric } from '../../../core/critique/rubric'
import { describeTarget } from '../../../core/critique/target'
import { describeTrial } from '../../../core/trial/words'
import { exerciseSet } from '../../../core/exercise'
import type { Report } from '../../../core/measure/report'
import type { Paper } from '../../work/sheet/document'
import type { SheetRequest } from '../../work/sheet/sheet'
import { taughtBy } from '../house/classes'

const READINGS = 6,
  FINDINGS = 3
const day = (iso: string): string => format(new Date(iso), 'd MMMM yyyy')

/** @throws AppError while the piece is not measured. */
export async function sheetFor(submission: Submission, critique: Critique, paper: Paper): Promise<SheetRequest> {
  if (submission.measurement.state !== 'done') throw new AppError('invalid', 'This piece is not measured yet.')
  const report = submission.measurement.report as Report,
    { corrections, assignment, readings, notes } = critique
  const score = critique.score && scoreRubric(Object.values(critique.score.scores))
  const about = [
    submission.learner.name,
    submission.medium,
    STAGE_WORDS[submission.stage],
    submission.className,
    `looked at by ${await taughtBy(submission.classId)}`,
    critique.state === 'released' && critique.releasedAt ? day(critique.releasedAt) : 'not released yet'
  ]
  return {
    report,
    paper,
    findings: findingsShown({ corrections, readings, report, standards: critique.standards }, FINDINGS),
    trials: corrections.flatMap(({ trial, area }) => (trial ? [{ trial, area }] : [])),
    words: {
      title: submission.title,
      about: about.filter(Boolean).join(' · '),
      photographed: submission.photo?.done ? `The photograph was ${submission.photo.done}.` : '',
      question: submission.question,
      works: critique.works.split('\n').filter(line => line.trim()),
      verdict: critique.verdict,
      corrections: corrections.map(c => ({
        tag: tagOf(c),
        area: c.area,
        mark: c.mark,
        what: c.what,
        reason: c.reason,
        todo: c.todo,
        shown: c.trial && describeTrial(c.trial),
        target: c.target && describeTarget(c.target)
      })),
      readings: keyReadings({ readings, judged: notes.judged, said: corrections.map(c => c.reason) }, READINGS),
      exercise: assignment && {
        title: exerciseSet(assignment).title,
        trains: exerciseSet(assignment).trains,
        due: day(`${assignment.dueOn}T12:00:00Z`)
      },
      score: score && `${score.percent} %: ${score.sum} of ${score.most}, over what was scored.`
    }
  }
}
