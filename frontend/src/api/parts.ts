import { call, NoAnswer, ProblemError, token } from './client'
import type { Problem } from './types'

const PART_BYTES = 8 * 2 ** 20
const RETRIES_MS = [0, 1000, 3000, 5000, 10_000, 20_000, 30_000]

/**
 * Sends a file part by part (tus 1.0.0). What was interrupted, even by closing the page, goes on where it ended when
 * the same file is given again.
 */
export async function sendInParts<T>(site: string, file: File, progress: (sent: number) => void): Promise<T> {
  const { Upload } = await import('tus-js-client')
  const address = await new Promise<string>((resolve, reject) => {
    const upload = new Upload(file, {
      endpoint: `/api/sites/${site}/uploads`,
      chunkSize: PART_BYTES,
      retryDelays: RETRIES_MS,
      removeFingerprintOnSuccess: true,
      metadata: { filename: file.name },
      headers: { 'X-Csrf-Token': token(), Accept: 'application/json' },
      // Of what was refused for good, nothing is tried again.
      onShouldRetry: (fault) => {
        const status = fault.originalResponse?.getStatus() ?? 0
        return status === 0 || status >= 500 || status === 409
      },
      onProgress: progress,
      onSuccess: () => (upload.url ? resolve(upload.url) : reject(new NoAnswer())),
      onError: (fault) =>
        reject('originalResponse' in fault ? problem(fault.originalResponse?.getBody()) : new NoAnswer()),
    })
    void upload
      .findPreviousUploads()
      .then(([last]) => {
        if (last) upload.resumeFromPreviousUpload(last)
        upload.start()
      })
      .catch(() => upload.start())
  })
  const done = (): Promise<T> => call<T>('POST', `${new URL(address, location.href).pathname}/done`)
  for (const wait of RETRIES_MS.slice(1)) {
    try {
      return await done()
    } catch (refused) {
      if (!(refused instanceof NoAnswer)) throw refused
      await new Promise((resolve) => setTimeout(resolve, wait))
    }
  }
  return done()
}

function problem(body: string | undefined): Error {
  try {
    return new ProblemError(JSON.parse(body ?? '') as Problem)
  } catch {
    return new NoAnswer()
  }
}
