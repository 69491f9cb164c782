import { DAY } from '../../core/time'
import Database from 'better-sqlite3'
import { existsSync, mkdirSync, readdirSync, rmSync, statSync, statfsSync } from 'node:fs'
import { copyFile } from 'node:fs/promises'
import { basename, dirname, join } from 'node:path'
import type { Backup, BackupKind } from '../../shared/backups'
import { DataProblem, openingProblem } from './dataProblem'
import { onDisk, publish } from './onDisk'

/** Backups of each kind that are kept. */
const KEPT = 7
const NAME =
  /^fonetra-(\d{4}-\d{2}-\d{2}T\d{2}-\d{2}-\d{2}-\d{3}Z)-(daily|by-hand|before-update|before-restore)\.sqlite$/u
const ENDINGS = ['', '-wal', '-shm']

/** Removes a data file with its log. */
export function removeData(file: string): void {
  for (const ending of ENDINGS) rmSync(file + ending, { force: true })
}

export const backupFolder = (file: string) => join(dirname(file), 'backups')

const nameOf = (at: number, kind: BackupKind) =>
  `fonetra-${new Date(at).toISOString().replace(/[:.]/gu, '-')}-${kind}.sqlite`
const timeOf = (stamp: string) => Date.parse(stamp.replace(/T(\d{2})-(\d{2})-(\d{2})-(\d{3})Z/u, 'T$1:$2:$3.$4Z'))

/** The backups of a user's file, newest first. */
export function listBackups(file: string): Backup[] {
  const folder = backupFolder(file)
  if (!existsSync(folder)) return []
  return readdirSync(folder)
    .flatMap(name => {
      const [, stamp, kind] = NAME.exec(name) ?? []
      return stamp
        ? [{ name, at: timeOf(stamp), kind: kind as BackupKind, bytes: statSync(join(folder, name)).size }]
        : []
    })
    .sort((a, b) => b.at - a.at)
}

/** Deletes the oldest of a kind beyond those kept, and halves of copies that were cut off. */
function prune(file: string, kind: BackupKind): void {
  const folder = backupFolder(file)
  for (const { name } of listBackups(file)
    .filter(each => each.kind === kind)
    .slice(KEPT))
    removeData(join(folder, name))
}

/** Copies a database that may be in use, as it is at one moment, to a path where nothing is yet. */
export type CopyDatabase = (to: string) => Promise<unknown>

/**
 * Copies the file while it is being used.
 * @param copy SQLite's own online backup of the file.
 * @throws DataProblem when there is no room for it.
 */
export async function makeBackup(
  copy: CopyDatabase,
  file: string,
  kind: BackupKind,
  now: number = Date.now(),
): Promise<Backup> {
  const folder = backupFolder(file)
  const name = nameOf(now, kind)
  const part = join(folder, `${name}.part`)
  try {
    mkdirSync(folder, { recursive: true })
    for (const left of readdirSync(folder)) if (left.endsWith('.part')) rmSync(join(folder, left), { force: true })
    const { bavail, bsize } = statfsSync(folder)
    if (bavail * bsize < statSync(file).size)
      throw new DataProblem(
        'full',
        'There is not enough space on the disk for a backup. Free some space, then make one in the Library, under Data.',
      )
    await copy(part)
    await publish(part, join(folder, name))
  } catch (error) {
    rmSync(part, { force: true })
    throw openingProblem(error, join(folder, name))
  }
  prune(file, kind)
  return { name, at: now, kind, bytes: statSync(join(folder, name)).size }
}

/** Whether a day has passed since the last daily backup. */
export function backupDue(file: string, now: number = Date.now()): boolean {
  const last = listBackups(file).find(each => each.kind === 'daily')
  // One from the future was made under a wrong clock: it says nothing.
  return !last || last.at > now || now - last.at >= DAY
}

/**
 * Looks a backup over before anything is closed for it.
 * @param newest the newest format this program reads. @returns its path, to be restored from.
 * @throws DataProblem when it is not there, is damaged or is too new.
 */
export function usableBackup(file: string, name: string, newest: number): string {
  const from = join(backupFolder(file), name)
  if (basename(name) !== name || !NAME.test(name) || !existsSync(from))
    throw new DataProblem('damaged', 'This backup no longer exists. Choose another one.')
  checkBackup(from, newest)
  return from
}

/**
 * Puts a backup in the place of the user's file, which must be closed. The file as it stood is kept as a backup of its
 * own. Killed at any moment, the one or the other stands whole.
 *
 * @param from a usable backup. @throws DataProblem when it cannot be copied; then nothing has changed.
 */
export async function restoreBackup(file: string, from: string, now: number = Date.now()): Promise<void> {
  const part = `${file}.restoring`
  try {
    await copyFile(from, part)
  } catch (error) {
    rmSync(part, { force: true })
    throw openingProblem(error, file)
  }
  await takeOver(file, part, now)
}

/** The same with a file that is not kept as it is: it is moved. */
export async function takeOver(file: string, part: string, now: number = Date.now()): Promise<void> {
  try {
    await onDisk(part)
    mkdirSync(backupFolder(file), { recursive: true })
    const before = join(backupFolder(file), nameOf(now, 'before-restore'))
    for (const ending of ENDINGS) if (existsSync(file + ending)) await copyFile(file + ending, before + ending)
    // A log left beside would be taken for the restored file's own.
    for (const ending of ENDINGS.slice(1)) rmSync(file + ending, { force: true })
    await publish(part, file)
  } catch (error) {
    rmSync(part, { force: true })
    throw openingProblem(error, file)
  }
  prune(file, 'before-restore')
}

/** @throws DataProblem when a file is no whole database of a format this program reads. */
function checkBackup(from: string, newest: number): void {
  try {
    const db = new Database(from)
    try {
      // One kept before a restore may have its log beside it.
      db.pragma('wal_checkpoint(TRUNCATE)')
      const format = Number(db.pragma('user_version', { simple: true }))
      if (format > newest)
        throw new DataProblem(
          'newer',
          `This backup comes from a newer Fonetra (format ${format}; this one reads ${newest}). Choose another one.`,
        )
      if (db.pragma('quick_check(1)', { simple: true }) !== 'ok')
        throw new DataProblem('damaged', 'This backup is damaged. Nothing was changed: choose another one.')
    } finally {
      db.close()
    }
  } catch (error) {
    throw error instanceof DataProblem
      ? error
      : new DataProblem('damaged', 'This backup cannot be read. Nothing was changed: choose another one.', error)
  }
}
