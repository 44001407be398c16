import Link from "next/link";
import { Empty, Page, PageHead } from "@/ui/page/page-head";

export default function NotFound() {
  return (
    <Page>
      <PageHead title="Not here" />
      <Empty
        title="Nothing in the log has this address"
        action={
          <Link href="/" className="btn btn-leaf">
            To the tally
          </Link>
        }
      >
        It may have been taken off, or the address was cut short on the way. On the tally, Ctrl K finds things
        and trips by their names.
      </Empty>
    </Page>
  );
}
