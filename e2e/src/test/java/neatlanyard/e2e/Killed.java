package neatlanyard.e2e;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** A test that kills the server: the application is a process of its own. */
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.METHOD)
@interface Killed {}
