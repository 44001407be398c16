import { Chart } from "chart.js";

/**
 * The theme as a chart needs it: sets the page's typeface, and tells a colour by its name. To be called in
 * the browser.
 */
export function chartLook(): (colour: string) => string {
  const style = getComputedStyle(document.documentElement);
  Chart.defaults.font.family = style.getPropertyValue("--font-sans") || "sans-serif";
  return (colour) => style.getPropertyValue(`--${colour}`).trim();
}
