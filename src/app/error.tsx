"use client";

import { Empty, Page, PageHead } from "@/ui/page/page-head";

export default function ErrorPage({ reset }: { error: Error; reset: () => void }) {
  return (
    <Page>
      <PageHead title="That went wrong" />
      <Empty
        title="The page could not be put together"
        action={
          <button type="button" className="btn btn-leaf" onClick={reset}>
            Try again
          </button>
        }
      >
        What was saved is safe. If it goes on, save everything as one file in Settings, and look into the
        window that the app was started from: it says what happened there.
      </Empty>
    </Page>
  );
}
