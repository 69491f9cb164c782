/// <reference path="./comlink-node.d.ts" />
import * as Comlink from 'comlink'
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs'
import { parentPort } from 'node:worker_threads'
import { readPage, type PageRead, type PageToRead } from '../rivals/pageReader'

// Matching thousands of titles takes its time: it is done beside the server, which goes on answering.
const thread = { read: (pages: PageToRead[]): PageRead[] => pages.map(readPage) }
export type ReadingThread = typeof thread

Comlink.expose(thread, nodeEndpoint(parentPort!))
