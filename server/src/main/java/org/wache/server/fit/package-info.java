/**
 * A list held against the models that it is for,
 * setting by setting, with the cures that were proved.
 */
package org.wache.server.fit;
