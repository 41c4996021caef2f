/** What transmitters at one site do to the receivers beside them: products, harmonics, overlap, nearness. */
package org.wache.site;
