/** Rules about the radios that a list goes into: what they reach, remember and may be used for. */
package org.wache.audit.rules.fit;
