/**
 * The Tern Valley flood watch:
 * invented people, lists and radios that show every screen.
 */
package org.wache.server.demo;
