import { and, eq, isNull, sql } from 'drizzle-orm'
import type { PhotoId } from '../../contract/index.ts'
import type { Database } from '../db/database.ts'
import { batch, material, photo } from '../db/schema.ts'
import { newId } from '../db/ids.ts'
import { ProblemError } from '../problems/problem.ts'

/** Longest side of a kept picture, pixels. */
const LONGEST_PX = 1600
/** Pictures with more pixels than this are refused before they are unpacked. */
const MOST_PIXELS = 24_000_000
const LARGEST_BYTES = 300_000
const QUALITIES = [82, 70, 55, 40]
const KINDS: ReadonlySet<string> = new Set(['png', 'jpeg', 'webp'])

const notAPicture = () =>
  new ProblemError('notAPicture', 'This is no picture that can be read. Take a PNG, JPEG or WebP.')

/** A picture made small, upright, and without what the camera wrote beside it (place, time, owner). */
async function shrink(bytes: Buffer) {
  const { default: sharp } = await import('sharp')
  const open = () => sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error' })
  if (bytes.length === 0) throw notAPicture()
  const about = await open()
    .metadata()
    .catch(() => null)
  if (!about || !KINDS.has(about.format)) throw notAPicture()
  for (const quality of QUALITIES) {
    const { data, info } = await open()
      .rotate()
      .resize({ width: LONGEST_PX, height: LONGEST_PX, fit: 'inside', withoutEnlargement: true })
      .webp({ quality })
      .toBuffer({ resolveWithObject: true })
      .catch(() => {
        throw notAPicture()
      })
    if (data.length <= LARGEST_BYTES || quality === QUALITIES.at(-1))
      return { bytes: data, widthPx: info.width, heightPx: info.height }
  }
  throw notAPicture()
}

/** Takes a picture in; it shows nowhere until a command attaches it. */
export async function takePhoto({ write }: Database, bytes: Buffer): Promise<PhotoId> {
  const small = await shrink(bytes)
  const id = newId<PhotoId>()
  await write((tx) => tx.insert(photo).values({ id, mime: 'image/webp', ...small }))
  return id
}

/** A kept picture's bytes. */
export async function readPhoto({ db }: Database, id: PhotoId) {
  const [row] = await db.select({ mime: photo.mime, bytes: photo.bytes }).from(photo).where(eq(photo.id, id))
  if (!row) throw new ProblemError('unknownId', 'There is no such picture.')
  return row
}

/** Drops pictures that nothing shows and no action could bring back: those never attached, as when a page was closed in between. */
export async function dropUnusedPhotos({ db, write }: Database): Promise<void> {
  const unused = await db
    .select({ id: photo.id })
    .from(photo)
    .leftJoin(material, eq(material.photoId, photo.id))
    .leftJoin(batch, eq(batch.photoId, photo.id))
    .where(
      and(
        isNull(material.id),
        isNull(batch.id),
        sql`not exists (select 1 from action a where a.kind = 'photoAttach' and instr(a.before, ${photo.id}) > 0)`,
      ),
    )
  for (const { id } of unused) await write((tx) => tx.delete(photo).where(eq(photo.id, id)))
}
