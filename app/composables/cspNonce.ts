import type { Extension } from '@codemirror/state'
import { EditorView } from '@codemirror/view'

/** Lets an editor's own styles through the Content-Security-Policy of the page. */
export function cspNonce(): Extension {
  const nonce = document.querySelector<HTMLMetaElement>('meta[name=style-nonce]')?.content
  return nonce ? EditorView.cspNonce.of(nonce) : []
}
