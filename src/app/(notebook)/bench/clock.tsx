"use client";

import { useEffect, useState } from "react";

/** Started and stopped by one key. It goes on through a reload: what it runs from is kept under `name`. */
export function Clock({
  name,
  about,
  onStop,
}: {
  name: string;
  about: string;
  onStop: (seconds: number) => void;
}) {
  const key = `nettle-clock ${name}`;
  // Shown only once its card is opened, so in the browser alone.
  const [from, setFrom] = useState(() => Number(localStorage.getItem(key)) || null);
  const [now, setNow] = useState(0);
  useEffect(() => {
    if (from === null) return;
    const tick = () => setNow(Date.now());
    tick();
    const ticking = setInterval(tick, 200);
    return () => clearInterval(ticking);
  }, [from]);
  const press = () => {
    if (from === null) {
      const started = Date.now();
      localStorage.setItem(key, String(started));
      setNow(started);
      return setFrom(started);
    }
    localStorage.removeItem(key);
    setFrom(null);
    onStop((Date.now() - from) / 1000);
  };
  const seconds = from === null ? 0 : Math.max(0, Math.floor((now - from) / 1000));
  return (
    <button type="button" className={`btn mt-6 ${from === null ? "" : "btn-leaf"}`} onClick={press}>
      {from === null ? "Start the clock" : "Stop"}
      <span className="num ml-2" aria-hidden="true">
        {from !== null && `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, "0")}`}
      </span>
      <span className="sr-only">: {about}</span>
    </button>
  );
}
