import type { ZodType, ZodUndefined } from 'zod'

/**
 * What one call of the HTTP API takes and answers. Its method and path are the name it is declared under, as in
 * `GET /api/lists/:id`.
 */
export interface Call<Query extends ZodType = ZodType, Body extends ZodType = ZodType, Answer = unknown> {
  query?: Query
  /** Parameters of the query that may be repeated: their values are read as lines of one. */
  repeated?: readonly string[]
  /** Absent where there is no body, or where it is a file. */
  body?: Body
  /** For the compiler alone: the route must answer it, the client and the tests are given it. */
  answer?: Answer
}

/** Declares a call. `answer` is given as `type<…>()`. */
export const call = <Query extends ZodType = ZodUndefined, Body extends ZodType = ZodUndefined, Answer = unknown>(
  declared: Call<Query, Body, Answer>,
): Call<Query, Body, Answer> => declared

/** A type as a value of no cost, so that everything a call is can be inferred from one object. */
export const type = <Type>(): Type | undefined => undefined

/** What a call is answered with when there is nothing to tell. */
export interface Done {
  ok: true
}
