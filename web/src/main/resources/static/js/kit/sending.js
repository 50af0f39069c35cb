// Requests that change something: the page's CSRF key goes along, and answers come back as JSON.

/** A random key that makes a resend harmless. */
export function newToken() {
  if (crypto.randomUUID) return crypto.randomUUID();
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  bytes[6] = (bytes[6] & 0x0f) | 0x40;
  bytes[8] = (bytes[8] & 0x3f) | 0x80;
  const hex = [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join('');
  return hex.replace(/(.{8})(.{4})(.{4})(.{4})(.{12})/, '$1-$2-$3-$4-$5');
}

/**
 * Posts a form. Resolves to {status, body} for any answer; rejects when none came within the time.
 * @param {string} url
 * @param {Record<string, unknown>} fields empty ones are left out
 */
export async function post(url, fields, milliseconds = 8000) {
  const body = new URLSearchParams();
  for (const [name, value] of Object.entries(fields)) {
    if (Array.isArray(value)) value.forEach((one) => body.append(name, String(one)));
    else if (value !== null && value !== undefined) body.set(name, String(value));
  }
  const response = await fetch(url, {
    method: 'POST',
    body,
    headers: { Accept: 'application/json', 'X-XSRF-TOKEN': document.querySelector('meta[name=csrf]').content },
    signal: AbortSignal.timeout(milliseconds),
  });
  const type = response.headers.get('content-type') ?? '';
  return { status: response.status, body: type.includes('json') ? await response.json() : { message: '' } };
}
