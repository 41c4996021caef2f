/**
 * How the radios of a team shall be set besides their channels, what a model can do of it, what is dangerous or a bad habit in
 * it, and in what a radio differs.
 */
package org.wache.settings;
