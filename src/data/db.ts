/** The least that a query needs: a database, an open transaction and a test all have it. */
export interface Db {
  query(sql: string, params?: unknown[]): Promise<{ rows: Record<string, unknown>[] }>;
}

/** A database that can also do several things as one. */
export interface Store extends Db {
  /** Runs `work` in one transaction: all of it is kept, or none. */
  transaction<T>(work: (tx: Db) => Promise<T>): Promise<T>;
  /** What `read` finds, all of it of one moment. */
  snapshot<T>(read: (tx: Db) => Promise<T>): Promise<T>;
  /** Runs a script of several statements, without parameters. */
  exec(sql: string): Promise<unknown>;
  close(): Promise<void>;
}
