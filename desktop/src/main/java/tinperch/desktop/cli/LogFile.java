package tinperch.desktop.cli;

import ch.qos.logback.classic.LoggerContext;
import ch.qos.logback.classic.encoder.PatternLayoutEncoder;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.rolling.FixedWindowRollingPolicy;
import ch.qos.logback.core.rolling.RollingFileAppender;
import ch.qos.logback.core.rolling.SizeBasedTriggeringPolicy;
import ch.qos.logback.core.util.FileSize;
import java.nio.file.Path;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** The log beside the owner's data: at most three files of 1 MB. */
final class LogFile {
    private LogFile() {}

    static void startIn(Path folder) {
        LoggerContext context = (LoggerContext) LoggerFactory.getILoggerFactory();
        Path file = folder.resolve("tinperch.log");
        PatternLayoutEncoder encoder = new PatternLayoutEncoder();
        encoder.setContext(context);
        encoder.setPattern("%d %-5level %logger{0}: %msg%n");
        encoder.start();
        RollingFileAppender<ILoggingEvent> appender = new RollingFileAppender<>();
        appender.setContext(context);
        appender.setFile(file.toString());
        appender.setEncoder(encoder);
        FixedWindowRollingPolicy rolling = new FixedWindowRollingPolicy();
        rolling.setContext(context);
        rolling.setParent(appender);
        rolling.setFileNamePattern(file + ".%i");
        rolling.setMinIndex(1);
        rolling.setMaxIndex(2);
        rolling.start();
        SizeBasedTriggeringPolicy<ILoggingEvent> trigger = new SizeBasedTriggeringPolicy<>();
        trigger.setContext(context);
        trigger.setMaxFileSize(FileSize.valueOf("1MB"));
        trigger.start();
        appender.setRollingPolicy(rolling);
        appender.setTriggeringPolicy(trigger);
        appender.start();
        context.getLogger(Logger.ROOT_LOGGER_NAME).addAppender(appender);
    }
}
