declare module 'comlink/dist/esm/node-adapter.mjs' {
  import type { Endpoint } from 'comlink'
  import type { MessagePort, Worker } from 'node:worker_threads'

  /** A worker thread's port as Comlink's endpoint. */
  export default function nodeEndpoint(port: MessagePort | Worker): Endpoint
}
