/** The part of a whole response that a Range header asks for (RFC 9110 §14): 206, or 416 when there is no such part. */
export async function ranged(whole: Response, range: string | null): Promise<Response> {
  const asked = /^bytes=(\d*)-(\d*)$/.exec(range ?? '')
  if (!asked) return whole
  const body = await whole.blob()
  const [first, last] = [asked[1] ?? '', asked[2] ?? '']
  const start = first === '' ? Math.max(0, body.size - Number(last)) : Number(first)
  const end = first === '' || last === '' ? body.size - 1 : Math.min(Number(last), body.size - 1)
  const type = whole.headers.get('Content-Type') ?? body.type
  if (start > end || start >= body.size)
    return new Response(null, { status: 416, headers: { 'Content-Range': `bytes */${body.size}` } })
  return new Response(body.slice(start, end + 1, type), {
    status: 206,
    headers: {
      'Content-Range': `bytes ${start}-${end}/${body.size}`,
      'Content-Length': String(end - start + 1),
      'Content-Type': type,
      'Accept-Ranges': 'bytes',
    },
  })
}
