// How EC10 and NOEC moved from look to look.

import { drawing, nameAlong, nameUp } from '../kit/chart.js';

const d3 = globalThis.d3;
const LEFT = 92;
const TOP = 26;
const FOOT = 46;

const text = (dose) => String(Number(dose.toPrecision(3)));

/** What the chart says, for those who can't see it. */
export function saysTimes(told, unit) {
  const dose = (value) => (value === undefined ? 'none' : `${text(value)} ${unit}`);
  return `EC10 and NOEC over time. ${told.map((look) => `${look.look}: NOEC ${dose(look.noec)}, EC10 ${dose(look.ec10?.dose)}`).join('. ')}`;
}

export function draw(place, chart) {
  const told = chart.looks.filter((look) => look.ec10 || look.noec !== undefined);
  if (told.length < 2) return;
  const wide = Math.min(560, Math.max(300, place.clientWidth));
  const high = 130;
  const { tested } = chart;
  const doses = told.flatMap((look) => [look.noec, look.ec10?.dose, look.ec10?.low, look.ec10?.high]).filter((dose) => dose > 0);
  const svg = drawing(place, wide, TOP + high + FOOT, saysTimes(told, chart.doseUnit));
  const x = d3.scaleLinear().domain([0, d3.max(told, (look) => look.days)]).range([LEFT, wide - 90]);
  const y = d3.scaleLog().domain([Math.min(d3.min(doses), d3.min(tested)) / 1.2, Math.max(d3.max(doses), d3.max(tested)) * 1.2]).range([TOP + high, TOP]);
  svg.append('g').attr('class', 'axis').attr('transform', `translate(0,${TOP + high})`).call(d3.axisBottom(x).tickValues(told.map((look) => look.days)).tickFormat(String).tickSize(4));
  nameAlong(svg, wide - 86, TOP + high + 34, 'Time since the start', 'days');
  svg.append('g').attr('class', 'axis').attr('transform', `translate(${LEFT},0)`).call(d3.axisLeft(y).tickValues(tested).tickFormat(text).tickSize(-(wide - LEFT - 90))).select('.domain').remove();
  nameUp(svg, TOP - 12, 'Strength', chart.doseUnit);
  const noec = told.filter((look) => look.noec !== undefined);
  const ec10 = told.filter((look) => look.ec10);
  const step = d3.line().x((look) => x(look.days));
  svg.append('path').attr('class', 'noec-line').attr('d', step.y((look) => y(look.noec))(noec));
  svg.append('path').attr('class', 'curve').attr('d', step.y((look) => y(look.ec10.dose))(ec10));
  svg.selectAll('.ec10-band').data(ec10).join('line').attr('class', 'strip-line').attr('x1', (look) => x(look.days)).attr('x2', (look) => x(look.days)).attr('y1', (look) => y(look.ec10.low)).attr('y2', (look) => y(look.ec10.high));
  svg.selectAll('.noec-mark').data(noec).join('path').attr('class', 'strip-mark').attr('d', d3.symbol(d3.symbolSquare, 60)()).attr('transform', (look) => `translate(${x(look.days)},${y(look.noec)})`);
  [['NOEC', noec, (look) => look.noec], ['EC10', ec10, (look) => look.ec10.dose]].filter(([, list]) => list.length).forEach(([name, list, of], i) => {
    svg.append('text').attr('class', 'name').attr('x', wide - 82).attr('y', y(of(list.at(-1))) + (i ? -4 : 12)).text(name);
  });
}
