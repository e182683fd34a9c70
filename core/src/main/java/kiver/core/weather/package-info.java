/**
 * The weather outside: a station's record of daily minima and maxima, the curve of a day between them, the light
 * that reaches the ground, and the scenarios of what may come. Temperatures are °C, light is mol m⁻² d⁻¹.
 */
package kiver.core.weather;
