package io.enthalpa.server;

import org.springframework.boot.SpringBootConfiguration;
import org.springframework.boot.autoconfigure.EnableAutoConfiguration;
import org.springframework.context.annotation.ComponentScan;

/** The server. */
@SpringBootConfiguration
@EnableAutoConfiguration
@ComponentScan
public class EnthalpaApplication {}
