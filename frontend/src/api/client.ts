import type { Problem } from './types'

/** An answer that refuses, with its problem (RFC 9457). */
export class ProblemError extends Error {
  constructor(readonly problem: Problem) {
    super(problem.title)
  }
}

/** No answer at all: the network or the server is away. */
export class NoAnswer extends Error {}

let csrf = ''
export const useCsrf = (token: string): void => {
  csrf = token
}

export const token = (): string => csrf

export async function call<T>(method: 'GET' | 'POST' | 'DELETE', path: string, body?: unknown): Promise<T> {
  let response: Response
  try {
    response = await fetch(path, {
      method,
      headers: {
        Accept: 'application/json',
        ...(method === 'GET' ? {} : { 'X-Csrf-Token': csrf, 'Content-Type': 'application/json' }),
      },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    })
  } catch {
    throw new NoAnswer()
  }
  return read<T>(response.status, await response.text())
}

function read<T>(status: number, text: string): T {
  if (status === 204) return undefined as T
  let value: unknown
  try {
    value = JSON.parse(text)
  } catch {
    throw new NoAnswer()
  }
  if (status >= 400) throw new ProblemError(value as Problem)
  return value as T
}

/** Sends a small file as it is. */
export async function sendBytes<T>(path: string, file: Blob): Promise<T> {
  let response: Response
  try {
    response = await fetch(path, {
      method: 'POST',
      headers: { Accept: 'application/json', 'X-Csrf-Token': csrf, 'Content-Type': 'application/octet-stream' },
      body: file,
    })
  } catch {
    throw new NoAnswer()
  }
  return read<T>(response.status, await response.text())
}
