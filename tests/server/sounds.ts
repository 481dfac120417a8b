const RATE = 8000

/** A quiet tone of so many seconds as a WAV file. */
export function waveOf(seconds: number): Buffer {
  const samples = Math.round(RATE * seconds)
  const head = Buffer.alloc(44)
  head.write('RIFF', 0, 'latin1')
  head.writeUInt32LE(36 + samples, 4)
  head.write('WAVEfmt ', 8, 'latin1')
  head.writeUInt32LE(16, 16)
  head.writeUInt16LE(1, 20)
  head.writeUInt16LE(1, 22)
  head.writeUInt32LE(RATE, 24)
  head.writeUInt32LE(RATE, 28)
  head.writeUInt16LE(1, 32)
  head.writeUInt16LE(8, 34)
  head.write('data', 36, 'latin1')
  head.writeUInt32LE(samples, 40)
  return Buffer.concat([
    head,
    Buffer.from(Array.from({ length: samples }, (_, i) => 128 + Math.round(20 * Math.sin(i / 4)))),
  ])
}
