import sharp from 'sharp'
import { LONGEST_SIDE } from '../../shared/photographs/photographs'
import { look } from '../../shared/wording/en'
import { Refused } from '../http/refusal'

/** A picture as it is kept: JPEG, upright, no larger than needed, with nothing in it but the picture. */
export interface Picture {
  readonly jpeg: Buffer
  readonly width: number
  readonly height: number
}

/** More than any camera takes; a file that unfolds to more is meant to do harm. */
const MOST_PIXELS = 120_000_000

// One thread a picture: several people send at once, and a sum waits beside them.
sharp.concurrency(1)
sharp.cache(false)

/** The only kinds that are unpacked, by how they begin: whatever their sender calls them. */
const begins = (bytes: Buffer): boolean =>
  (bytes[0] === 0xff && bytes[1] === 0xd8 && bytes[2] === 0xff) ||
  bytes.subarray(0, 8).equals(Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a])) ||
  (bytes.subarray(0, 4).toString('latin1') === 'RIFF' && bytes.subarray(8, 12).toString('latin1') === 'WEBP')

const notAPicture = () => new Refused(422, 'not-a-picture', look.photographs.notAPicture)

const scaled = async (bytes: Buffer, longest: number, quality: number): Promise<Picture> => {
  // Written anew, without any metadata: where and with what it was taken stays with whoever took it.
  const { data, info } = await sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error', pages: 1 })
    .autoOrient()
    .resize(longest, longest, { fit: 'inside', withoutEnlargement: true })
    .flatten({ background: '#ffffff' })
    .toColourspace('srgb')
    .jpeg({ quality })
    .toBuffer({ resolveWithObject: true })
  return { jpeg: data, width: info.width, height: info.height }
}

/** A file somebody sent, as a picture to keep. 422 when it is none, or torn, or unfolds beyond measure. */
export const pictureFrom = async (bytes: Buffer): Promise<Picture> => {
  if (!begins(bytes)) throw notAPicture()
  try {
    return await scaled(bytes, LONGEST_SIDE, 84)
  } catch {
    throw notAPicture()
  }
}

/** A kept picture at the size it is printed. */
export const printSize = (jpeg: Buffer): Promise<Picture> => scaled(jpeg, 800, 74)
