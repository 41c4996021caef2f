/**
 * Band sheets: the law and the plan of a band in one drawing, on the screen, as SVG and on paper.
 * One layout, in millimetres; each way of drawing it is a pen of its own.
 */
package org.wache.server.charts;
