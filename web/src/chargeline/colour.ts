import { scaleLinear } from 'd3-scale'

/** Temperature in °C to colour: verdigris, pale, copper, dark oxide; turns at about 50 °C. */
export const temperatureColour = scaleLinear<string>()
  .domain([0, 25, 40, 52, 70, 100, 135, 180])
  .range(['#176b73', '#3d9390', '#8fb8ae', '#cfcdb8', '#dcae7c', '#cf7a41', '#b24a26', '#7d2618'])
  .clamp(true)
