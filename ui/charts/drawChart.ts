import ApexCharts from "apexcharts";
import "apexcharts/dist/apexcharts.css";

/** Its style sheet came with this file: where an element of this name is, the library writes none into the page. */
const STYLES_ID = "apexcharts-css";

/** An empty chart in a box, to be given what it shows. */
export async function drawChart(box: HTMLElement): Promise<ApexCharts> {
  if (!document.getElementById(STYLES_ID)) {
    const mark = document.createElement("template");
    mark.id = STYLES_ID;
    document.head.append(mark);
  }
  const chart = new ApexCharts(box, {
    chart: { type: "line", height: 130, animations: { enabled: false } },
    series: [],
  });
  await chart.render();
  return chart;
}
