import { LARGEST_FILE, photographPath, scaledTo } from '~~/shared/photographs/photographs'
import { deviceStore } from './database'
import { newId } from './newId'

/** Why a file can't be kept as a photograph. Its words are in `look.photographs`. */
export type PictureFault = 'tooLarge' | 'notAPicture' | 'notKept'

/** The picture alone, scaled down: drawn anew, it holds nothing of where and with what it was taken. */
const scaleDown = async (file: Blob): Promise<Blob | null> => {
  const image = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => null)
  if (!image) return null
  const { width, height } = scaledTo(image.width, image.height)
  const canvas = document.createElement('canvas')
  canvas.width = width
  canvas.height = height
  const pen = canvas.getContext('2d')
  if (pen) {
    pen.fillStyle = '#fff'
    pen.fillRect(0, 0, width, height)
    pen.imageSmoothingQuality = 'high'
    pen.drawImage(image, 0, 0, width, height)
  }
  image.close()
  return pen ? new Promise((done) => canvas.toBlob(done, 'image/jpeg', 0.85)) : null
}

/** Scales a file down and keeps it on the device until its entry is sent; its id, or what is wrong with it. */
export const keepPicture = async (
  job: string,
  file: Blob,
): Promise<{ readonly id: string } | { readonly fault: PictureFault }> => {
  if (file.size > LARGEST_FILE) return { fault: 'tooLarge' }
  const jpeg = await scaleDown(file)
  if (!jpeg) return { fault: 'notAPicture' }
  const id = newId()
  try {
    await (await deviceStore()).put('photographs', { id, job, jpeg })
    return { id }
  } catch {
    return { fault: 'notKept' }
  }
}

/** The photograph as this device keeps it; undefined once it is sent, or where another took it. */
export const keptPicture = async (id: string): Promise<Blob | undefined> =>
  (
    await deviceStore()
      .then((db) => db.get('photographs', id))
      .catch(() => undefined)
  )?.jpeg

/** Takes photographs off the device: their entry is sent, or they were taken out of it. */
export const forgetPhotographs = async (ids: readonly string[]): Promise<void> => {
  const db = await deviceStore()
  for (const id of ids) await db.delete('photographs', id)
}

/** Sends what this device keeps of these photographs; one it doesn't keep is on the server already. */
export const sendPhotographs = async (job: string, ids: readonly string[]): Promise<void> => {
  for (const id of ids) {
    const file = await keptPicture(id)
    if (file) await askServer(photographPath(job, id), { method: 'PUT', file, seconds: 60 })
  }
}
