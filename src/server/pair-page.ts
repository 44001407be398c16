/**
 * What a browser sees that is not paired: nothing of the log, not even the app's own frame, which names every
 * thing. With the secret behind the # of its address (which no server is told) it asks to be let in.
 */
export const pairPage = (nonce: string) => `<!doctype html>
<html lang="en">
<meta charset="utf-8">
<meta name="viewport" content="width=device-width">
<link rel="icon" href="/icon.svg">
<title>Pair this browser: Nettle Tally</title>
<style>
  body { font: 1.1rem/1.5 system-ui, sans-serif; max-width: 32rem; margin: 12vh auto; padding: 0 1rem; background: #f4f4ea; color: #17291c }
  input, button { font: inherit; min-height: 2.75rem; padding: 0 .75rem; border: 1px solid #5b6f5e; background: #fff; color: inherit }
  button { background: #23613a; color: #fff }
  [role=alert] { color: #a8270b }
</style>
<h1>Nettle Tally</h1>
<p>This browser is not paired. Scan the code, or open the link, that stands where Nettle Tally was started; or type its last part here.</p>
<form><label>Pairing word <input name="secret" autocomplete="off" autocapitalize="none" spellcheck="false"></label> <button>Pair</button></form>
<p role="alert"></p>
<script nonce="${nonce}">
  const form = document.querySelector("form");
  const told = document.querySelector("[role=alert]");
  const ask = async (secret) => {
    told.textContent = "";
    const answer = await fetch("/api/pair", { method: "POST", body: JSON.stringify({ secret }) }).catch(() => null);
    // Without a padlock nothing is kept for when there is no network: how to get one comes next.
    if (answer && answer.ok) location.replace(window.isSecureContext ? "/" : "/trust");
    else told.textContent = answer ? (await answer.json()).why : "The server can’t be reached.";
  };
  form.addEventListener("submit", (event) => {
    event.preventDefault();
    void ask(form.secret.value.trim());
  });
  const secret = location.hash.slice(1);
  if (secret) {
    history.replaceState(null, "", location.pathname);
    void ask(secret);
  }
</script>
</html>
`;
