/**
 * The forms in which licences and places stand in a context file,
 * and their JSON Schemas.
 */
package org.wache.server.papers;
