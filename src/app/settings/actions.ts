"use server";

import { revalidatePath } from "next/cache";
import { cookies } from "next/headers";
import { Settings } from "@/core/model";
import { unpair } from "@/data/pairings";
import { store } from "@/data/connection";
import { saveSettings } from "@/data/settings";
import { byField, refuse, type Answer } from "@/ui/answer";

export async function keepSettings(raw: unknown): Promise<Answer> {
  const settings = Settings.safeParse(raw);
  if (!settings.success) return refuse(byField(settings.error));
  await saveSettings(await store(), settings.data);
  revalidatePath("/", "layout");
  return { ok: true, value: undefined };
}

/** Light, dark, or as the system has it. Kept in the browser: a tent phone and a kitchen screen may differ. */
export async function keepTheme(theme: "light" | "dark" | "system"): Promise<void> {
  const jar = await cookies();
  if (theme === "system") jar.delete("theme");
  else jar.set("theme", theme, { maxAge: 60 * 60 * 24 * 365 * 5, sameSite: "strict" });
  revalidatePath("/", "layout");
}

/** Lets a browser in no more. */
export async function endPairing(id: string): Promise<Answer> {
  unpair(id);
  revalidatePath("/settings");
  return { ok: true, value: undefined };
}
