import {
  BarController,
  BarElement,
  CategoryScale,
  Chart,
  Filler,
  Legend,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  ScatterController,
  Tooltip,
} from "chart.js";
import type { Draw } from "./chart-canvas";

// What the notebook's charts are made of; loaded with the first one that comes into view.
Chart.register(BarController, BarElement, LineController, LineElement, PointElement, ScatterController);
Chart.register(CategoryScale, LinearScale, Filler, Tooltip);

/** Draws in the page's typeface and colours; gives back what takes the chart away again. */
export function drawChart(canvas: HTMLCanvasElement, draw: Draw): () => void {
  const style = getComputedStyle(document.documentElement);
  Chart.defaults.font.family = style.getPropertyValue("--font-sans") || "sans-serif";
  const config = draw((colour) => style.getPropertyValue(`--${colour}`).trim());
  const chart = new Chart(canvas, {
    ...config,
    // Only where it is asked for: a legend of the package's own would stand on every chart.
    plugins: config.options?.plugins?.legend ? [Legend] : [],
  });
  return () => chart.destroy();
}
