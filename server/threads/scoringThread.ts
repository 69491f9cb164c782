/// <reference path="./comlink-node.d.ts" />
import * as Comlink from 'comlink'
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs'
import { parentPort } from 'node:worker_threads'
import { DEFAULT_PROFILE } from '../../core/draft/limits'
import { RULE_SETS } from '../../core/draft/ruleset'
import { scoreDraft } from '../../core/draft/score'
import type { BriefFields } from '../../shared/brief'

// A text may be long and its rules many: scored here, it holds up nobody else.
const thread = {
  score: scoreDraft,
  /** Percent of each brief's own rule set; unknown where nothing is written yet. */
  percents: (list: BriefFields[]): (number | null)[] => list.map(({ title, description, tags, tray, ruleSet, language }) => {
    if (!title.trim() && !description.trim() && !tags.length) return null
    const set = RULE_SETS.find(each => each.id === ruleSet) ?? RULE_SETS[0]!
    return scoreDraft({ title, description, tags }, { lead: tray.lead ?? '', support: tray.support }, set, DEFAULT_PROFILE, language).percent
  }),
}
export type ScoringThread = typeof thread

Comlink.expose(thread, nodeEndpoint(parentPort!))
