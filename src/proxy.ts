import { NextResponse, type NextRequest } from "next/server";

/** Which script, style and address a page may use: its own, and of inline scripts those alone that bear this answer's nonce. */
const policy = (nonce: string): string =>
  [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}'`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    "connect-src 'self'",
    "frame-ancestors 'none'",
    "base-uri 'self'",
    "form-action 'self'",
    "object-src 'none'",
  ].join("; ");

const YEAR_S = 31_536_000;

/** Every page gets a policy of its own; where people come by https they are told to keep to it. */
export function proxy(request: NextRequest): NextResponse {
  const nonce = Buffer.from(crypto.randomUUID()).toString("base64");
  const headers = new Headers(request.headers);
  headers.set("Content-Security-Policy", policy(nonce));
  const response = NextResponse.next({ request: { headers } });
  response.headers.set("Content-Security-Policy", policy(nonce));
  if ((process.env.GRAND_TALLY_URL ?? "").startsWith("https:"))
    response.headers.set("Strict-Transport-Security", `max-age=${YEAR_S}`);
  return response;
}

/** What is sent as it lies on the disk needs none, and what is uploaded does not pass here. */
export const config = { matcher: "/((?!api/|_next/static|_next/image|icon.svg).*)" };
