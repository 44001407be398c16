"use server";

import { revalidatePath } from "next/cache";
import { cookies } from "next/headers";
import { z } from "zod";
import { RecordId, Settings } from "@/core/model";
import { unpair } from "@/data/records/pairings";
import { readSettings, saveSettings } from "@/data/records/settings";
import { acting } from "@/app/acting";
import { byField, refuse, type Answer } from "@/ui/form/answer";

export async function keepSettings(raw: unknown): Promise<Answer> {
  return acting(async (tx) => {
    // What is looked for at the door is kept where it is ticked: a form that was open meanwhile knows nothing of it.
    const { never } = await readSettings(tx);
    await saveSettings(tx, { ...Settings.parse(raw), never });
    return { ok: true, value: undefined };
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
