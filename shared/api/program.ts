import { z } from 'zod'
import { newKeySchema, signInSchema, type AccessKey, type NewKey, type SessionAnswer } from '../access'
import { findQuery, type FindAnswer } from '../find'
import type { JobState } from '../jobs'
import { MOST_DAYS, SERVICE_USES, type Misbehaviour, type ServicesInUse, type SimulatedClock } from '../services'
import { call, type } from './call'

const part = z.number().min(0).max(1).optional()

/** The program itself: who may use it, what it is doing, and the services it asks. */
export const programCalls = {
  'GET /api/health': call({ answer: type<{ ok: true; version: string }>() }),
  /** Server-sent events. */
  'GET /api/changes': call({ answer: type<string>() }),
  'GET /api/session': call({ answer: type<SessionAnswer>() }),
  'POST /api/session': call({ body: signInSchema, answer: type<SessionAnswer>() }),
  'DELETE /api/session': call({ answer: type<{ ended: true }>() }),
  'GET /api/access': call({ answer: type<{ keys: AccessKey[] }>() }),
  'POST /api/access': call({ body: newKeySchema, answer: type<NewKey>() }),
  'DELETE /api/access/:id': call({ answer: type<{ revoked: true }>() }),
  /** Anything in a workspace by its words: briefs, videos, phrases, lists and what else has a name. */
  'GET /api/find': call({ query: findQuery, answer: type<FindAnswer>() }),
  'GET /api/jobs': call({ answer: type<{ jobs: JobState[] }>() }),
  'GET /api/jobs/:id': call({ answer: type<JobState>() }),
  'DELETE /api/jobs/:id': call({ answer: type<JobState>() }),
  'POST /api/jobs/:id/resume': call({ answer: type<JobState>() }),
  /** Server-sent events. */
  'GET /api/jobs/:id/events': call({ answer: type<string>() }),
  'GET /api/services': call({ answer: type<ServicesInUse>() }),
  'PUT /api/services': call({
    body: z.object({
      /** Unless given, an address means a live one, and `null` the simulated services. */
      use: z.enum(SERVICE_USES).optional(),
      address: z
        .string('Give an address such as https://demand.example/api.')
        .trim()
        .max(500, 'An address can be 500 characters at most.')
        .nullable()
        .default(null),
      /** Absent keeps the key there is for the same server, empty takes it away. */
      key: z.string().max(500).optional(),
    }),
    answer: type<ServicesInUse>(),
  }),
  /** Makes the simulated services misbehave; only where FONETRA_STANDIN_CONTROL=1 allows it. */
  'PUT /api/standin/behaviour': call({
    body: z.object({ delayMs: z.number().min(0).max(60_000).optional(), refuse: part, fail: part, half: part }),
    answer: type<Misbehaviour>(),
  }),
  /** The clock of the simulated services; 409 while a live service is connected, as for the two below. */
  'GET /api/standin/clock': call({ answer: type<SimulatedClock>() }),
  /** Moves it on, day by day, in the background. */
  'POST /api/standin/clock': call({
    body: z.object({
      days: z
        .number('Enter a number of days.')
        .int('Enter a whole number of days.')
        .min(1, 'Enter 1 day or more.')
        .max(MOST_DAYS, `Enter ${MOST_DAYS} days at most.`),
    }),
    answer: type<SimulatedClock>(),
  }),
  /** Stops it there; days that passed stay. */
  'DELETE /api/standin/clock': call({ answer: type<SimulatedClock>() }),
}
