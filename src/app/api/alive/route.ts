/**
 * Is the server there? Asked before a page is fetched anew, which without one would end in the browser's
 * error page.
 */
export const GET = () => new Response(null, { status: 204 });
