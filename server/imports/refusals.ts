/** Refused lines that are told one by one; the rest are counted. */
const TOLD = 200

/** Lines of a file that were refused. */
export class Refusals {
  private readonly lines: { line: number; reason: string }[] = []
  private more = 0

  add(lines: readonly { line: number; reason: string }[]): void {
    const room = TOLD - this.lines.length
    this.lines.push(...lines.slice(0, room))
    this.more += Math.max(0, lines.length - room)
  }

  /** As an import answers them. */
  summary(): { rejected: { line: number; reason: string }[]; rejectedMore: number } {
    return { rejected: this.lines, rejectedMore: this.more }
  }
}
