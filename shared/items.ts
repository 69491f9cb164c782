/** One of many things of a kind, with its revision. */
export interface Item<Kind extends string = string, Value = unknown> {
  id: string
  kind: Kind
  position: number
  revision: number
  value: Value
  createdAt: number
  savedAt: number
}
