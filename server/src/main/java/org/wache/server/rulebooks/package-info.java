/**
 * The rulebooks in force, with what a group agreed on over them,
 * and the pages on which one looks something up.
 */
package org.wache.server.rulebooks;
