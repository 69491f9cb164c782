/**
 * What a trade's phrases, videos and channels are made of. Everything is data: the grammar (`../grammar.ts`) puts
 * together only what fits, and the writing (`../writing/`) says of a part what is done to it.
 */

/** How something goes wrong, in the forms that searchers use. */
export interface Fault {
  /** “squeaking”, as in “why is my chain squeaking”. */
  is: string
  /** “squeak”, as in “why does my chain squeak”; absent where nobody says so. */
  does?: string
  /** “squeaky”, as in “how to fix a squeaky chain”. */
  adjective?: string
  /** “when braking”, “after rain”. */
  when?: string[]
}

/** Something that is done, in the forms that searchers and writers use. */
export interface Task {
  verb: string
  ing: string
  /** “adjustment”, as in “brake adjustment”. */
  noun?: string
  /** How often it is searched, against other tasks. */
  weight: number
  /** Done again and again: people ask how often. */
  care?: boolean
  /** A shop charges for it: people ask what it costs. */
  paid?: boolean
  /** What people would rather do without: “a chain tool”. */
  without?: string[]
  /** What people try instead: “vinegar”. */
  using?: string[]
  /** What is done, step by step, in whole sentences; `{part}` stands for the part. */
  steps: string[]
}

/** A thing worked on. */
export interface Part {
  name: string
  /** Other names of the same thing. */
  also?: string[]
  /** Nobody asks what it is or how it works. */
  plain?: boolean
  /** It cannot be held, bought or taken apart: a speech, a tune-up. */
  idea?: boolean
  /** Neither “a” nor a plural: “brake pads”, “bar tape”. */
  mass?: boolean
  plural?: string
  /** How often it is asked for. The whole is more general than its parts. */
  weight: number
  tasks: string[]
  faults?: string[]
  /** Wholes it belongs to; all of the trade's unless given. */
  on?: string[]
  /** Kinds people name: “12 speed”, “hydraulic”. */
  kinds?: string[]
  /** What people would rather do without when they replace it: “removing the wheel”. */
  without?: string[]
  /** Whether people choose and buy it. */
  buy?: boolean
  /** Whether makers are named with it. */
  made?: boolean
  /** Whether it is chosen for who wears or sits on it. */
  worn?: boolean
  /** Whether people ask what size they need. */
  sized?: boolean
  /** What it is weighed against. */
  against?: string[]
  /** Calendar month of the peak, 0 January, and how far it swings; the trade's unless given. */
  peak?: number
  swing?: number
  /** Growth a year. */
  growth?: number
}

export interface Trade {
  id: string
  /** BCP 47. */
  language: 'en' | 'de'
  /** Part of all phrases, and of all channels. */
  share: number
  /** Put before a part's name where it stands alone: “bike”. */
  prefix?: string
  wholes: string[]
  /** What stands before a whole: “on a road bike”, “for a wedding”; `on` unless given. */
  before?: 'on' | 'for'
  /** Endings that nobody adds to what is done in this trade: “give a speech at home”. */
  unsaid?: string[]
  /** Tasks for which nobody needs tools, or hurries. */
  bare?: string[]
  makers: string[]
  parts: Part[]
  tasks: Record<string, Task>
  /** Steps of a task where they are others for a part: by part, or parts separated by commas, and task. */
  steps?: Record<string, Record<string, string[]>>
  faults: Record<string, Fault>
  /** What is asked for in a town: “bike repair”, with its weight. */
  services: [name: string, weight: number][]
  peak: number
  swing: number
  /** Second words of channel names. */
  nouns: string[]
  /** What its viewers are called: “rider”. */
  people: string
  /** Sentences creators of this trade write, beside those of all trades. */
  remarks: string[]
  /** What they say when something goes wrong, where its faults are not those of machines. */
  causes?: string[]
}

/** Whether a task needs neither tools nor haste: to give a speech, to play a chord. */
export const isBare = (trade: Trade, task: string | null) => task !== null && (trade.bare ?? []).includes(task)

/** What is done, step by step, when a part is worked on. */
export function stepsOf(trade: Trade, part: Part, task: string): readonly string[] {
  for (const [parts, tasks] of Object.entries(trade.steps ?? {}))
    if (parts.split(', ').includes(part.name) && tasks[task]) return tasks[task]
  return trade.tasks[task]!.steps
}

/** A task by its forms. */
export const task = (
  forms: `${string}/${string}` | `${string}/${string}/${string}`,
  weight: number,
  steps: string[],
  more: Partial<Task> = {},
): Task => {
  const [verb, ing, noun] = forms.split('/') as [string, string, string?]
  return { verb, ing, noun, weight, steps, ...more }
}

/** A part by its name, how often it is asked for, and its tasks, separated by spaces. */
export const part = (name: string, weight: number, tasks: string, more: Partial<Part> = {}): Part => ({
  name,
  weight,
  tasks: tasks.split(' ').filter(Boolean),
  ...more,
})

/** A fault by its forms. */
export const fault = (is: string, does?: string, adjective?: string, when: string[] = []): Fault => ({
  is,
  does,
  adjective,
  when,
})
