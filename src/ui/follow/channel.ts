/** One a page: a channel does not hear itself, but would hear another of the same page. */
let channel: BroadcastChannel | undefined;
export const theChannel = () => (channel ??= new BroadcastChannel("nettle-tally"));

/** Tells the other open tabs that something was saved. */
export const tellOtherTabs = () => theChannel().postMessage("saved");
