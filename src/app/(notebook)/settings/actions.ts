"use server";

import { revalidatePath } from "next/cache";
import { cookies } from "next/headers";
import { z } from "zod";
import { RecordId, Settings } from "@/core/model";
import { unpair } from "@/data/records/pairings";
import { readSettings, saveSettings } from "@/data/records/settings";
import { acting } from "@/app/acting";
import { byField, refuse, refuseAs, type Answer } from "@/ui/form/answer";

export async function keepSettings(raw: unknown): Promise<Answer> {
  return acting(async (tx) => {
    // These are kept where they are shown: a form that was open meanwhile knows nothing of them.
    const { never, forgotten } = await readSettings(tx);
    await saveSettings(tx, { ...Settings.parse(raw), never, forgotten });
    return { ok: true, value: undefined };
  });
}

/**
 * What was learned of the owner's taste is forgotten, by what it is about and the day that it was learned until;
 * answers what was forgotten before.
 */
export async function keepForgotten(raw: Settings["forgotten"]): Promise<Answer<Settings["forgotten"]>> {
  return acting(async (tx) => {
    const settings = await readSettings(tx);
    const forgotten = Settings.shape.forgotten.safeParse(raw);
    if (!forgotten.success) return refuseAs("", forgotten.error);
    await saveSettings(tx, { ...settings, forgotten: forgotten.data });
    return { ok: true, value: settings.forgotten };
  });
}

const Theme = z.enum(["light", "dark", "system"]);

/** Light, dark, or as the system has it. Kept in the browser: a tent phone and a kitchen screen may differ. */
export async function keepTheme(raw: z.input<typeof Theme>): Promise<Answer> {
  const theme = Theme.safeParse(raw);
  if (!theme.success) return refuse(byField(theme.error));
  const jar = await cookies();
  if (theme.data === "system") jar.delete("theme");
  else jar.set("theme", theme.data, { maxAge: 60 * 60 * 24 * 365 * 5, sameSite: "strict" });
  revalidatePath("/", "layout");
  return { ok: true, value: undefined };
}

/** Lets a browser in no more. */
export async function endPairing(raw: string): Promise<Answer> {
  const id = RecordId.safeParse(raw);
  if (!id.success) return refuse(byField(id.error));
  unpair(id.data);
  revalidatePath("/settings");
  return { ok: true, value: undefined };
}
