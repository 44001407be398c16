import type { Metadata } from "next";
import { headers } from "next/headers";
import Link from "next/link";
import { Empty, PageHead } from "@/ui/page/page-head";
import { Section } from "@/ui/page/section";

export const metadata: Metadata = { title: "The padlock" };

/** Walks a phone through trusting this computer's certificate, or through going on without. */
export default async function TrustPage() {
  const fingerprint = process.env.NETTLE_FINGERPRINT;
  const host = (await headers()).get("host") ?? "localhost";
  if (!fingerprint) return <NotShared />;
  return (
    <>
      <PageHead title="The padlock">This browser is paired. One more step, once for each phone.</PageHead>
      <p className="mb-4 max-w-xl">
        A phone keeps a page for when there is no network only where its address bar shows a padlock. This
        computer has made a certificate of its own for that; the phone has to be told to trust it.
      </p>
      <div className="grid max-w-3xl gap-6 lg:grid-cols-2">
        <Section title="1. Fetch it, and see that it is the right one">
          <p className="mb-2">
            <a href="/api/trust" className="btn btn-leaf" download="nettle-tally.crt">
              Fetch the certificate
            </a>
          </p>
          <p>
            Its fingerprint stands where Nettle Tally was started, and in the phone&rsquo;s details of it. All
            three must be the same:
          </p>
          <p className="num mt-1 text-sm break-all">{fingerprint}</p>
        </Section>
        <Section title="2. Tell the phone to trust it">
          <p className="font-semibold">Android</p>
          <p className="mb-2">
            Settings, Security, Encryption and credentials, Install a certificate, CA certificate; choose the
            file that was fetched.
          </p>
          <p className="font-semibold">iPhone, iPad</p>
          <p>
            Settings, Profile downloaded, Install. Then Settings, General, About, Certificate trust settings:
            switch it on.
          </p>
        </Section>
        <Section title="3. Open it behind the padlock">
          <p>
            <a href={`https://${host}/trail`} className="btn btn-leaf">
              Open the trail page with the padlock
            </a>
          </p>
          <p className="hint mt-1">
            Keep that page, or put it on the phone&rsquo;s first screen. Whoever holds this computer&rsquo;s
            key could pose as other sites to the phone: take the certificate off again when you use it no
            more.
          </p>
        </Section>
        <Section title="Or go on without">
          <p className="mb-2">
            Without the padlock the trail page opens only while this computer answers, and what goes over the
            network is not encrypted. Lines that are typed are kept on the phone all the same.
          </p>
          <Link href="/" className="btn">
            Go on without
          </Link>
        </Section>
      </div>
    </>
  );
}

function NotShared() {
  return (
    <>
      <PageHead title="The padlock" />
      <Empty
        title="Not shared"
        action={
          <Link href="/settings" className="btn">
            To the settings
          </Link>
        }
      >
        Nettle Tally answers to this machine alone. Started with --share it prints a link for the phone.
      </Empty>
    </>
  );
}
