import type { BriefFields } from '../brief/brief'
import type { HandOverStep } from './handOver'

const escaped = (text: string) =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('"', '&quot;')

/** Captions are in a file of their own: printed, they would fill pages. */
const IN_A_FILE: Record<string, string> = { captions: 'In the file captions.vtt or captions.srt beside this page.' }
const DO = { paste: 'Type or paste', choose: 'Choose', file: 'Upload' } as const

/** One page to print, which somebody who never saw Fonetra can follow: what goes where, in the order of use. */
export function handOverPage(
  { title, topic, language }: Pick<BriefFields, 'title' | 'topic' | 'language'>,
  steps: readonly HandOverStep[],
  channel: string,
): string {
  const rows = steps.map(
    step => `<tr><td>☐</td><th scope="row">${escaped(step.title)}</th><td>${DO[step.how]}</td>
<td dir="auto" class="text">${escaped(IN_A_FILE[step.id] ?? step.text)}</td></tr>`,
  )
  return `<!doctype html>
<html lang="${escaped(language)}">
<head>
<meta charset="utf-8">
<title>${escaped(title || topic || 'Hand-over')}</title>
<style>
body { font: 14px/1.4 sans-serif; margin: 24px auto; max-width: 900px; }
table { border-collapse: collapse; width: 100%; }
th, td { border-top: 1px solid #bbb; padding: 6px 10px 6px 0; text-align: start; vertical-align: top; }
tr { break-inside: avoid; }
.text { white-space: pre-wrap; overflow-wrap: anywhere; }
</style>
</head>
<body lang="en">
<h1>${escaped(title || topic || 'Untitled')}</h1>
<p>Upload the video file to the channel <strong>${escaped(channel || 'named in your instructions')}</strong>, then go down this list and tick each line.</p>
<table>
${rows.join('\n')}
</table>
<p>Send back the address of the video once it is out.</p>
</body>
</html>
`
}
