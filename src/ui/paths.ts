/** Where things are. An id may be in any script: in a link, and in a header above all, it is encoded. */
export const itemPath = (id: string) => `/item/${encodeURIComponent(id)}`;
export const tripPath = (id: string) => `/trips/${encodeURIComponent(id)}`;
export const unpackPath = (id: string) => `/unpack/${encodeURIComponent(id)}`;
