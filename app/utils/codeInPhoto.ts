/** The largest side to which a photograph is made smaller before it is looked at, in pixels. */
const LARGEST = 1600

/** The text of the QR code in a photograph. @throws Error where it is no picture, or no code is found in it. */
export async function codeInPhoto(file: Blob): Promise<string> {
  const picture = await createImageBitmap(file).catch(() => {
    throw new Error('That file is no picture.')
  })
  const { default: decodeQR } = await import('qr/decode.js')
  // A large photograph may be sharper than is good for finding the code: it is tried smaller, too.
  for (const largest of [LARGEST, LARGEST / 2, LARGEST / 4]) {
    const scale = Math.min(1, largest / Math.max(picture.width, picture.height))
    const [width, height] = [Math.round(picture.width * scale), Math.round(picture.height * scale)]
    const canvas = new OffscreenCanvas(width, height)
    const at = canvas.getContext('2d')!
    at.drawImage(picture, 0, 0, width, height)
    const { data } = at.getImageData(0, 0, width, height)
    try {
      return decodeQR({ width, height, data }, { timeLimit: 600 })
    } catch {
      continue
    }
  }
  throw new Error(
    'No code was found in that picture. Take it again, straight from above and near, or type the letters.',
  )
}
