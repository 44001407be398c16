/** The certificate authority of a shared app, for a phone to trust; 404 where the app is not shared. */
export function GET(): Response {
  const authority = process.env.NETTLE_AUTHORITY;
  if (!authority) return new Response("It is not shared.", { status: 404 });
  return new Response(authority, {
    headers: {
      "content-type": "application/x-x509-ca-cert",
      "content-disposition": 'attachment; filename="nettle-tally.crt"',
      "cache-control": "no-store",
    },
  });
}
