/** How the radios of a team or of a whole group shall be set besides their channels, and in what each of them differs. */
package org.wache.server.profiles;
