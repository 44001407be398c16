import type { ReactNode } from "react";

/** The page itself, within whatever frames it. */
export function Page({ children }: { children: ReactNode }) {
  return (
    <main id="main" className="mx-auto max-w-[76rem] px-4 py-5 tabs:px-7">
      {children}
    </main>
  );
}

/** The head of a page: its name, a line of what matters, and what can be done. */
export function PageHead({
  title,
  children,
  actions,
}: {
  title: string;
  children?: ReactNode;
  actions?: ReactNode;
}) {
  return (
    <header className="mb-4 flex flex-wrap items-baseline gap-x-5 gap-y-2">
      <h1 className="text-[1.7rem] leading-tight">{title}</h1>
      {children && <div className="text-muted">{children}</div>}
      {actions && <div className="no-print ml-auto flex flex-wrap gap-2">{actions}</div>}
    </header>
  );
}

/** What goes here, and the one next step. */
export function Empty({
  title,
  children,
  action,
}: {
  title: string;
  children: ReactNode;
  action: ReactNode;
}) {
  return (
    <div className="mt-10 max-w-xl border-l-4 border-catkin-strong pl-5">
      <h2 className="text-xl">{title}</h2>
      <div className="mt-1 mb-4 text-muted">{children}</div>
      {action}
    </div>
  );
}
