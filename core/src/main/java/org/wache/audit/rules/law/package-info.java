/**
 * Rules of law: who may key where, how wide, how strong, on which channels,
 * under each service that would allow it.
 */
package org.wache.audit.rules.law;
