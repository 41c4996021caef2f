/**
 * The calendar feed:
 * what ends when, for licences, waivers and lists, behind an address of its own.
 */
package org.wache.server.calendar;
