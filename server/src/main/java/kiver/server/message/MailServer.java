package kiver.server.message;

import jakarta.mail.MessagingException;
import jakarta.mail.internet.MimeMessage;
import java.nio.charset.StandardCharsets;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.annotation.Profile;
import org.springframework.mail.MailException;
import org.springframework.mail.javamail.JavaMailSenderImpl;
import org.springframework.mail.javamail.MimeMessageHelper;
import org.springframework.stereotype.Component;

/** Carries messages by a mail server (SMTP), where one is named in the settings. */
@Component
@ConditionalOnProperty("kiver.mail.host")
// Nothing that is played leaves the house.
@Profile("!play")
class MailServer implements MessageService {

    private static final String PATIENCE = "15000";

    private final JavaMailSenderImpl sender = new JavaMailSenderImpl();
    private final String from;

    MailServer(
            @Value("${kiver.mail.host}") String host,
            @Value("${kiver.mail.port:587}") int port,
            @Value("${kiver.mail.from}") String from,
            @Value("${kiver.mail.user:}") String user,
            @Value("${kiver.mail.password:}") String password,
            @Value("${kiver.mail.starttls:true}") boolean startTls) {
        this.from = from;
        sender.setHost(host);
        sender.setPort(port);
        sender.setDefaultEncoding(StandardCharsets.UTF_8.name());
        if (!user.isEmpty()) {
            sender.setUsername(user);
            sender.setPassword(password);
            sender.getJavaMailProperties().setProperty("mail.smtp.auth", "true");
        }
        sender.getJavaMailProperties().setProperty("mail.smtp.starttls.enable", String.valueOf(startTls));
        sender.getJavaMailProperties().setProperty("mail.smtp.starttls.required", String.valueOf(startTls));
        // A server that does not answer holds nobody up for long.
        sender.getJavaMailProperties().setProperty("mail.smtp.connectiontimeout", PATIENCE);
        sender.getJavaMailProperties().setProperty("mail.smtp.timeout", PATIENCE);
        sender.getJavaMailProperties().setProperty("mail.smtp.writetimeout", PATIENCE);
    }

    @Override
    public void send(String address, String subject, String body) throws UndeliverableException {
        try {
            MimeMessage message = sender.createMimeMessage();
            MimeMessageHelper helper = new MimeMessageHelper(message, StandardCharsets.UTF_8.name());
            helper.setFrom(from);
            helper.setTo(address);
            helper.setSubject(subject);
            helper.setText(body);
            sender.send(message);
        } catch (MessagingException | MailException failed) {
            throw new UndeliverableException(String.valueOf(failed.getMessage()));
        }
    }
}
